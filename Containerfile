# The application in a container, without its database: what `npm start` does, in parts.
#
#   podman build --tag patient-stair .
#   podman run --env-file migrate.env patient-stair node --import tsx tools/prepare-database.ts db
#   podman run --env-file environment --publish 4321:4321 patient-stair
#
# `environment` holds DATABASE_URL, RECORD_KEY, PUBLIC_URL and TRUSTED_PROXY, `migrate.env` DATABASE_OWNER_URL and DATABASE_APP_USER:
# see docs/operations.md. Nothing of a patient stays in the container; several of them may run against one database.

FROM node:20-bookworm-slim AS build
WORKDIR /srv/patient-stair
COPY package.json package-lock.json ./
RUN npm install --no-save --include=dev --no-audit --loglevel=error
COPY astro.config.mjs tsconfig.json ./
COPY src ./src
COPY public ./public
COPY tools ./tools
RUN node tools/build.mjs

FROM node:20-bookworm-slim
WORKDIR /srv/patient-stair
ENV NODE_ENV=production HOST=0.0.0.0 PORT=4321
COPY package.json package-lock.json ./
RUN npm install --no-save --omit=dev --no-audit --loglevel=error
COPY tsconfig.json LICENSE NOTICE ./
COPY db ./db
COPY demo ./demo
COPY src ./src
COPY tools ./tools
COPY --from=build /srv/patient-stair/dist ./dist
USER node
EXPOSE 4321
STOPSIGNAL SIGTERM
HEALTHCHECK CMD node -e "fetch('http://127.0.0.1:' + process.env.PORT + '/ready').then((r) => process.exit(r.ok ? 0 : 1), () => process.exit(1))"
CMD ["node", "tools/serve.mjs"]
