# Vantick in a container, from the archive that `bin/release` makes:
#   bin/release && podman build -t vantick .
#   podman run --network host -v vantick:/var/lib/vantick vantick
# With the host's network it listens to that computer alone, as the first account is made there; a proxy speaks https before it.
FROM debian:12-slim
RUN apt-get update \
  && DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends ruby ruby-dev bundler build-essential poppler-utils \
     zbar-tools libvips42 espeak-ng lame \
  && rm -rf /var/lib/apt/lists/* \
  && useradd --system --home /opt/vantick vantick \
  && mkdir -p /opt/vantick /var/lib/vantick
COPY release/vantick-*.tar.gz /tmp/vantick.tar.gz
RUN tar -xzf /tmp/vantick.tar.gz -C /opt/vantick --strip-components 1 \
  && rm /tmp/vantick.tar.gz \
  && chown -R vantick: /opt/vantick /var/lib/vantick
USER vantick
WORKDIR /opt/vantick
RUN bash bin/install gems
ENV VANTICK_DB=/var/lib/vantick/vantick.sqlite3
VOLUME /var/lib/vantick
EXPOSE 4567
STOPSIGNAL SIGINT
ENTRYPOINT ["bash", "bin/start"]
