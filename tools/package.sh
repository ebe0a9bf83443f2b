# What people install: an archive that runs anywhere with a Java 17, and a Debian package. Read by ./pemblar.
#   ./pemblar package            into target/package, with a bill of materials and checksums
#   PEMBLAR_SIGN_WITH=KEY ...    besides signs the checksums with that key of gpg

version=0.1.0

# The same jars in both: the application, its libraries, nothing of the tests.
laidOut() {
  local folder=$1
  mkdir -p "$folder/lib"
  cp "$app/app-$version.jar" "$app"/lib/*.jar "$folder/lib/"
  cp "$here/README.md" "$folder/"
  mkdir -p "$folder/docs"
  cp "$here/docs/operations.md" "$folder/docs/"
}

runnableArchive() {
  local out=$1 folder=$1/work/pemblar-$version
  laidOut "$folder"
  cat >"$folder/pemblar" <<'START'
#!/bin/sh
# Starts Pemblar. PEMBLAR_DATABASE=jdbc:postgresql://HOST/NAME, PEMBLAR_DATABASE_USER, PEMBLAR_DATABASE_PASSWORD,
# PEMBLAR_PORT; all others in docs/operations.md. PEMBLAR_JAVA_OPTIONS goes to Java.
set -eu
here=$(cd "$(dirname "$0")" && pwd)
exec "${JAVA_HOME:+$JAVA_HOME/bin/}java" ${PEMBLAR_JAVA_OPTIONS:--Xmx1g} -cp "$here/lib/*" pemblar.app.PemblarApplication
START
  chmod 755 "$folder/pemblar"
  tar -C "$out/work" --owner=0 --group=0 --sort=name -czf "$out/pemblar-$version.tar.gz" "pemblar-$version"
}

debianPackage() {
  local out=$1 root=$1/work/deb
  laidOut "$root/usr/share/pemblar"
  mkdir -p "$root/DEBIAN" "$root/lib/systemd/system" "$root/etc/default" "$root/usr/share/doc/pemblar"
  cp -r "$here/tools/debian/." "$root/DEBIAN/"
  mv "$root/DEBIAN/pemblar.service" "$root/lib/systemd/system/"
  mv "$root/DEBIAN/share-classes" "$root/DEBIAN/started-once.json" "$root/usr/share/pemblar/"
  chmod 755 "$root/usr/share/pemblar/share-classes"
  mv "$root/DEBIAN/pemblar.default" "$root/etc/default/pemblar"
  mv "$root/usr/share/pemblar/README.md" "$root/usr/share/pemblar/docs" "$root/usr/share/doc/pemblar/"
  sed -i "s/@VERSION@/$version/; s/@SIZE@/$(du -sk "$root/usr" | cut -f1)/" "$root/DEBIAN/control"
  chmod 755 "$root/DEBIAN"/{postinst,prerm,postrm}
  chmod 640 "$root/etc/default/pemblar"
  dpkg-deb --root-owner-group --build "$root" "$out/pemblar_${version}_all.deb" >/dev/null || die "the Debian package could not be built"
}

# The jar for others lists its beans (src/main/java/pemblar/app/BeansAhead.java). Nothing of that stays among the classes:
# they would hold yesterday's beans for the tests of tomorrow.
buildForOthers() {
  needJava
  if running; then say "Pemblar runs from the jar that is built anew: it is stopped."; stopApplication; fi
  say "Building ..."
  rm -rf "$here"/*/target/classes "$app/target/spring-aot" "$app/built"
  (cd "$here" && mvn -q -B -ntp -Ppackage -DskipTests -Dmaven.test.skip=true -pl core,formats,benchunit,app package) >&2 || die "the build failed"
}

forgetBuildForOthers() { rm -rf "$here/app/target/classes" "$here/app/target/spring-aot" "$app/app-$version.jar" "$app/built"; }

package() {
  need dpkg-deb dpkg
  buildForOthers
  local out=$here/target/package
  rm -rf "$out"
  mkdir -p "$out/work"
  runnableArchive "$out"
  debianPackage "$out"
  forgetBuildForOthers
  (cd "$here" && mvn -q -B -ntp org.cyclonedx:cyclonedx-maven-plugin:2.9.1:makeBom -pl app -DincludeTestScope=false \
    -DoutputDirectory="$out" -DoutputName="pemblar-$version-materials" -DoutputFormat=json) >&2 || die "the bill of materials could not be made"
  rm -rf "$out/work"
  (cd "$out" && sha256sum pemblar* >SHA256SUMS)
  if [ -n "${PEMBLAR_SIGN_WITH:-}" ]; then
    need gpg gnupg
    (cd "$out" && gpg --batch --yes --local-user "$PEMBLAR_SIGN_WITH" --armor --detach-sign SHA256SUMS) || die "gpg could not sign"
  fi
  say "In $out:"
  (cd "$out" && ls -l | tail -n +2 >&2)
}
