/** What the frame of every page needs a moment later than the page itself: loaded together, once. */
export { default as KeysDialog } from "./KeysDialog";
export { default as Palette } from "./Palette";
export { default as SignInAgain } from "./SignInAgain";
export { watchSession } from "./watch-session";
