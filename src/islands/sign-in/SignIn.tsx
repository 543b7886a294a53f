import { island } from "~/islands/frame/island";
import SignInForm from "~/islands/frame/SignInForm";

/** The way in; back to where somebody was who has been signed out there. */
function SignIn({ to }: { to: string }) {
  return <SignInForm onDone={() => location.assign(to)} />;
}

export default island(SignIn);
