# All of it from Debian's packages. Build: see docs/deploy.md.
ARG DEBIAN=docker.io/library/debian:bookworm-slim

FROM ${DEBIAN} AS build
RUN apt-get update && apt-get install -y --no-install-recommends \
    ca-certificates openjdk-17-jdk-headless maven nodejs npm postgresql && rm -rf /var/lib/apt/lists/*
WORKDIR /srv/stratopneum
COPY . .
RUN ./stratopneum build

# PostgreSQL with the roles of the settings, made when it starts for the first time.
FROM ${DEBIAN} AS database
RUN useradd --system --uid 10002 --home-dir /var/lib/postgresql postgres && apt-get update && apt-get install -y --no-install-recommends postgresql-15 && rm -rf /var/lib/apt/lists/* && \
    rm -rf /var/lib/postgresql && install -d -o postgres -g postgres -m 0700 /var/lib/postgresql
COPY --chmod=0755 hosting/database.sh /usr/local/bin/database
USER postgres
VOLUME /var/lib/postgresql
EXPOSE 5432
HEALTHCHECK --interval=10s --timeout=5s --start-period=30s \
  CMD ["/usr/lib/postgresql/15/bin/pg_isready", "-q", "-h", "127.0.0.1"]
ENTRYPOINT ["database"]

# Serves, brings the tables up to date, and writes backups. It writes to /tmp and to where backups go, and nowhere else.
FROM ${DEBIAN} AS application
RUN apt-get update && apt-get install -y --no-install-recommends openjdk-17-jre-headless postgresql-client-15 && \
    rm -rf /var/lib/apt/lists/* && useradd --system --uid 10001 --no-create-home --home-dir /nonexistent stratopneum
WORKDIR /srv/stratopneum
COPY --from=build /srv/stratopneum/stratopneum ./
COPY --from=build /srv/stratopneum/launcher launcher
COPY --from=build /srv/stratopneum/.stratopneum/application .stratopneum/application
USER 10001
ENV STRATOPNEUM_SETTINGS=/etc/stratopneum
EXPOSE 8780
HEALTHCHECK --interval=10s --timeout=5s --start-period=60s CMD ["./stratopneum", "healthy"]
ENTRYPOINT ["./stratopneum"]
CMD ["serve"]
