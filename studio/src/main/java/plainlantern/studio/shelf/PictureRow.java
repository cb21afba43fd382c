package plainlantern.studio.shelf;

import java.time.LocalDateTime;
import java.util.Optional;
import plainlantern.picture.FileKind;
import plainlantern.picture.Imported;
import plainlantern.picture.PictureFile;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Treatment;

/**
 * One row of {@code picture}: facts of an imported file; width and height upright, what is not known is null.
 *
 * @param bytes        of the file
 * @param readingBytes of memory that decoding it takes; null for pictures of before that was kept
 * @param band         rows that are read at once where it is wanted smaller, 0 where it is read whole; null likewise
 */
record PictureRow(String sha, String fileKind, int width, int height, LocalDateTime taken, Double focalX, Double focalY,
                         Double footLeft, Double footRight, Double footDown, long bytes, Long readingBytes, Integer band) {
    private static final int RGB = 3;
    private static final int OURS = 4;
    /** Sixteen bits for each of four channels, ours, and turned. */
    private static final int WORST = 16;
    private static final int FETCHED = 3;

    static PictureRow of(String sha, Imported imported, long bytes) {
        PictureFile file = imported.file();
        Optional<Focal> proposed = imported.focal();
        Optional<Foot> foot = imported.foot();
        return new PictureRow(sha, file.kind().name(), file.width(), file.height(), file.taken().orElse(null),
                proposed.map(Focal::x).orElse(null), proposed.map(Focal::y).orElse(null),
                foot.map(Foot::left).orElse(null), foot.map(Foot::right).orElse(null), foot.map(Foot::down).orElse(null), bytes,
                file.reading(1), file.stored().band());
    }

    /** The picture under a name, as it comes onto a shelf. */
    Picture named(String name) {
        Optional<Focal> focal = focalX == null ? Optional.empty() : Optional.of(new Focal(focalX, focalY, true));
        Optional<Foot> foot = footDown == null ? Optional.empty() : Optional.of(new Foot(footLeft, footRight, footDown));
        return new Picture(sha, name, width, height, focal, Optional.ofNullable(taken), foot, Treatment.NONE);
    }

    /**
     * Memory that decoding takes, its sides divided by {@code shrink} where the file allows it, and the file itself as the database hands
     * it out.
     */
    long reading(int shrink, boolean toned) {
        long pixels = (long) width * height;
        long whole = readingBytes == null ? pixels * WORST : readingBytes;
        int side = Math.min(width, height);
        long deeper = deep(toned) ? 2 * OURS * pixels : 0;
        long bands = banded() ? whole / side * Math.min(side, band) : 0;
        if (shrink > 1 && banded()) return (whole + deeper) / ((long) shrink * shrink) + bands + FETCHED * bytes;
        return (shrinks(whole) ? whole / ((long) shrink * shrink) : whole + deeper) + FETCHED * bytes;
    }

    /** Memory that the decoded picture takes. */
    long held(int shrink, boolean toned) {
        long pixels = (long) width * height;
        long whole = readingBytes == null ? pixels * WORST : readingBytes;
        long held = pixels * (deep(toned) ? 2 * OURS : whole <= pixels * (RGB + OURS) ? RGB : OURS);
        return shrinks(whole) || banded() ? held / ((long) shrink * shrink) : held;
    }

    private boolean banded() {
        return band != null && band > 0;
    }

    /** Whether its pixels may have sixteen bits a channel, which only tones make use of. */
    private boolean deep(boolean toned) {
        return toned && (fileKind.equals(FileKind.PNG.name()) || fileKind.equals(FileKind.TIFF.name()));
    }

    /** A JPEG that the fast decoder took when it came in is read with no more than its own pixels, turned or not. */
    private boolean shrinks(long whole) {
        return fileKind.equals(FileKind.JPEG.name()) && whole <= (long) width * height * (RGB + OURS);
    }
}
