# Sourced by ./lantern bench. Prints tables for docs/performance.md; with "core" also the single steps (JMH).
build
mvn -q -B -DskipTests install
mvn -q -B -f bench/pom.xml -DskipTests package
need chromium chromium montage imagemagick vips libvips-tools /usr/bin/time time
BENCH=$(mktemp -d /tmp/lantern-bench.XXXXXX)
trap 'kill $STUDIO 2>/dev/null || true; stop_db "$BENCH/db"; rm -rf "$BENCH"' EXIT
chmod 755 "$BENCH"
start_db "$BENCH/db"
PORT=$(free_port 8180)
LANTERN_PORT=$PORT java -jar "$APP/studio-0.1.0.jar" >"$BENCH/log" 2>&1 &
STUDIO=$!
until curl -fs -o /dev/null "http://127.0.0.1:$PORT/sign-in"; do sleep 0.5; done

echo "$(nproc) processors, $(java -version 2>&1 | head -n 1)"
echo
echo "| over HTTP, one client | median ms | 95th percentile ms |"
echo "|---|---|---|"
java -cp "bench/target/classes:bench/target/lib/*" plainlantern.bench.ServerBench "http://127.0.0.1:$PORT" "$BENCH"
echo
echo "| gesture, headless Chromium without a graphics card | frames a second | median ms a frame | 95th percentile |"
echo "|---|---|---|---|"
java -cp "bench/target/classes:bench/target/lib/*" plainlantern.bench.FramesBench "http://127.0.0.1:$PORT" "$(command -v chromium)"
kill $STUDIO; wait $STUDIO 2>/dev/null || true

# A3 at 300 ppi: 4961 x 3508 px, twelve panels of 1134 x 1045 px with gaps of 71 px.
cat >"$BENCH/ours" <<E
cd "$HERE" && exec java $RENDER_OPTIONS -cp "$APP/lib/*" plainlantern.bundle.RenderCommand "$BENCH/twelve.lantern.zip" --format png --ppi 300 --out "$BENCH/ours.png"
E
cat >"$BENCH/libvips" <<'E'
cd "$(dirname "$0")"
for p in p*.jpg; do vips thumbnail $p ${p%.jpg}.v 1134 --height 1045 --crop centre; done
vips arrayjoin "$(ls p*.v | tr '\n' ' ')" joined.v --across 4 --shim 71 --background 255
vips embed joined.v theirs.png 118 118 4961 3508 --extend white
E
cat >"$BENCH/imagemagick" <<'E'
cd "$(dirname "$0")"
for p in p*.jpg; do montage $p -resize '1134x1045^' -gravity center -extent 1134x1045 -geometry +0+0 ${p%.jpg}.miff; done
montage p*.miff -tile 4x3 -geometry +36+36 -background white montage.png
E
echo
echo "| A3 at 300 ppi, 12 pictures of 24 megapixels, whole process | median s | range s | peak MB |"
echo "|---|---|---|---|"
for who in ours libvips imagemagick; do
  for run in 1 2 3; do /usr/bin/time -f '%e %M' -a -o "$BENCH/$who.times" bash "$BENCH/$who" >/dev/null 2>&1; done
  sort -n "$BENCH/$who.times" | awk -v who=$who '{t[NR]=$1; if ($2>m) m=$2} END {printf "| %s | %.2f | %.2f to %.2f | %.0f |\n", who, t[2], t[1], t[3], m/1024}'
done
if [ "${1:-}" = core ]; then
  java -cp "bench/target/classes:bench/target/lib/*" org.openjdk.jmh.Main -foe true
fi
