# Sourced by ./lantern bench. Prints tables for docs/performance.md; with "deliveries" only those of deliveries, with "core" the single steps (JMH), too.
build
mvn -q -B -DskipTests install
mvn -q -B -f bench/pom.xml -DskipTests package
need chromium chromium montage imagemagick vips libvips-tools /usr/bin/time time
BENCH=$(mktemp -d /tmp/lantern-bench.XXXXXX)
trap 'kill $STUDIO 2>/dev/null || true; stop_db "$BENCH/db"; rm -rf "$BENCH"' EXIT
chmod 755 "$BENCH"
start_db "$BENCH/db"
PORT=$(free_port 8180)
LANTERN_PORT=$PORT java "$(heap 2048)" -jar "$APP/studio-0.1.0.jar" >"$BENCH/log" 2>&1 &
STUDIO=$!
until curl -fs -o /dev/null "http://127.0.0.1:$PORT/sign-in"; do sleep 0.5; done

echo "$(nproc) processors, $(java -version 2>&1 | head -n 1)"
echo
echo "| over HTTP, one client | median ms | 95th percentile ms |"
echo "|---|---|---|"
java -cp "bench/target/classes:bench/target/lib/*" plainlantern.bench.ServerBench "http://127.0.0.1:$PORT" "$BENCH" ${1:+only}
if [ -z "${1:-}" ]; then
echo
echo "| gesture, headless Chromium without a graphics card | frames a second | median ms a frame | 95th percentile |"
echo "|---|---|---|---|"
java -cp "bench/target/classes:bench/target/lib/*" plainlantern.bench.FramesBench "http://127.0.0.1:$PORT" "$(command -v chromium)"
fi
kill $STUDIO; wait $STUDIO 2>/dev/null || true

# A3 at 300 ppi: 4961 x 3508 px, twelve panels of 1134 x 1045 px with gaps of 71 px.
cat >"$BENCH/ours" <<E
cd "$HERE" && MALLOC_ARENA_MAX=1 exec java $(heap 4096) $(echo $RENDER_OPTIONS) -cp "$APP/lib/*" plainlantern.bundle.RenderCommand "$BENCH/twelve.lantern.zip" --format png --ppi 300 --out "$BENCH/ours.png"
E
for sheet in sixty shadowed twelve toned local glazed veiled; do
  cat >"$BENCH/$sheet" <<E
cd "$HERE" && MALLOC_ARENA_MAX=1 exec java $(heap 4096) $(echo $RENDER_OPTIONS) -cp "$APP/lib/*" plainlantern.bundle.RenderCommand "$BENCH/$sheet.lantern.zip" --format png --ppi 300 --out "$BENCH/$sheet.png"
E
done
cat >"$BENCH/libvips" <<'E'
cd "$(dirname "$0")"
for p in p*.jpg; do vips thumbnail $p ${p%.jpg}.v 1134 --height 1045 --crop centre; done
vips arrayjoin "$(ls p*.v | tr '\n' ' ')" joined.v --across 4 --shim 71 --background 255
vips embed joined.v theirs.png 118 118 4961 3508 --extend white
E
# The same, but filtered as light, as ours is: then it cannot leave a half or a quarter to the JPEG decoder, either.
sed 's/--crop centre/--crop centre --linear/' "$BENCH/libvips" >"$BENCH/libvips-light"
cat >"$BENCH/imagemagick" <<'E'
cd "$(dirname "$0")"
for p in p*.jpg; do montage $p -resize '1134x1045^' -gravity center -extent 1134x1045 -geometry +0+0 ${p%.jpg}.miff; done
montage p*.miff -tile 4x3 -geometry +36+36 -background white montage.png
E
echo
echo "| A3 at 300 ppi, 12 pictures of 24 megapixels, whole process | median s | range s | peak MB |"
echo "|---|---|---|---|"
for who in ours libvips libvips-light imagemagick; do
  for run in 1 2 3; do /usr/bin/time -f '%e %M' -a -o "$BENCH/$who.times" bash "$BENCH/$who" >/dev/null 2>&1; done
  sort -n "$BENCH/$who.times" | awk -v who=$who '{t[NR]=$1; if ($2>m) m=$2} END {printf "| %s | %.2f | %.2f to %.2f | %.0f |\n", who, t[2], t[1], t[3], m/1024}'
done
echo
echo "| A3 at 300 ppi, the same twelve, whole process | median s | range s | peak MB |"
echo "|---|---|---|---|"
for run in 1 2 3; do for who in twelve toned local glazed veiled; do /usr/bin/time -f '%e %M' -a -o "$BENCH/$who.times" bash "$BENCH/$who" >/dev/null 2>&1; done; done
for who in twelve toned local glazed veiled; do
  sort -n "$BENCH/$who.times" | awk -v who=$who '{t[NR]=$1; if ($2>m) m=$2} END {printf "| %s | %.2f | %.2f to %.2f | %.0f |\n", who, t[2], t[1], t[3], m/1024}'
done
echo
echo "| A3 at 300 ppi, 60 panels, whole process | median s | range s | peak MB |"
echo "|---|---|---|---|"
for run in 1 2 3; do for who in sixty shadowed; do /usr/bin/time -f '%e %M' -a -o "$BENCH/$who.times" bash "$BENCH/$who" >/dev/null 2>&1; done; done
for who in sixty shadowed; do
  sort -n "$BENCH/$who.times" | awk -v who=$who '{t[NR]=$1; if ($2>m) m=$2} END {printf "| %s | %.2f | %.2f to %.2f | %.0f |\n", who, t[2], t[1], t[3], m/1024}'
done
# Every format of the A3 sheet with twelve pictures, and A1 (7016 x 9933 px) with a hundred panels.
measured() {
  local runs=$1 name=$2 bundle=$3
  shift 3
  for run in $(seq "$runs"); do
    /usr/bin/time -f '%e %M' -a -o "$BENCH/$name.times" env MALLOC_ARENA_MAX=1 java $RENDER_OPTIONS -cp "$APP/lib/*" plainlantern.bundle.RenderCommand "$BENCH/$bundle.lantern.zip" --ppi 300 "$@" >/dev/null 2>&1
  done
  sort -n "$BENCH/$name.times" | awk -v who="$name" -v bytes="$(stat -c %s "${@: -1}")" '{t[NR]=$1; if ($2>m) m=$2} END {printf "| %s | %.2f | %.2f to %.2f | %.0f | %.1f |\n", who, t[int((NR+1)/2)], t[1], t[NR], m/1024, bytes/1e6}'
}
echo
echo "| at 300 ppi, whole process | median s | range s | peak MB | file MB |"
echo "|---|---|---|---|---|"
for kind in png jpeg tiff webp pdf svg openraster; do measured 3 "A3 $kind" twelve --format $kind --out "$BENCH/a3.$kind"; done
for sheet in glazed veiled; do measured 3 "A3 pdf, $sheet" $sheet --format pdf --out "$BENCH/$sheet.pdf"; done
measured 3 "A3 slices" twelve --format png --extent boxes --out "$BENCH/slices.zip"
for kind in png jpeg tiff pdf; do measured 3 "A1 $kind" hundred --format $kind --out "$BENCH/a1.$kind"; done
measured 3 "A1 png, no paper" hundred --no-paper --format png --out "$BENCH/a1.bare.png"
measured 3 "A1 layers" hundred --format openraster --out "$BENCH/a1.ora"
measured 1 "one gigapixel, png" gigapixel --format png --out "$BENCH/gigapixel.png"
if [ "${1:-}" = core ]; then
  java -cp "bench/target/classes:bench/target/lib/*" org.openjdk.jmh.Main -foe true
fi
