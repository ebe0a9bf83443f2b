# Pemblar in a container; the same steps as the Debian package. Build ./pemblar package first.
#   podman build -t pemblar .
#   podman run -p 8710:8710 -e PEMBLAR_ADDRESS=0.0.0.0 -e PEMBLAR_DATABASE=jdbc:postgresql://HOST/pemblar \
#     -e PEMBLAR_DATABASE_USER=pemblar -e PEMBLAR_DATABASE_PASSWORD=... \
#     -e PEMBLAR_KEY=... pemblar
# What it starts is the archive. Give every node the same PEMBLAR_KEY (docs/operations.md).
FROM docker.io/library/debian:12-slim
RUN apt-get update \
 && apt-get install -y --no-install-recommends openjdk-17-jre-headless \
 && rm -rf /var/lib/apt/lists/* \
 && useradd --system --home-dir /opt/pemblar pemblar
ADD target/package/pemblar-0.1.0.tar.gz /opt
USER pemblar
EXPOSE 8710
CMD ["/opt/pemblar-0.1.0/pemblar"]
