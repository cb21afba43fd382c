package plainlantern.studio.shelf;

import java.time.LocalDateTime;
import java.util.Optional;
import plainlantern.picture.PictureFile;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Foot;
import plainlantern.sheet.Picture;

/** One row of {@code picture}: facts of an imported file; width and height upright, what is not known is null. */
public record PictureRow(String sha, String fileKind, int width, int height, LocalDateTime taken, Double focalX, Double focalY,
                         Double footLeft, Double footRight, Double footDown) {
    static PictureRow of(String sha, PictureFile file, Optional<Focal> proposed, Optional<Foot> foot) {
        return new PictureRow(sha, file.kind().name(), file.width(), file.height(), file.taken().orElse(null),
                proposed.map(Focal::x).orElse(null), proposed.map(Focal::y).orElse(null),
                foot.map(Foot::left).orElse(null), foot.map(Foot::right).orElse(null), foot.map(Foot::down).orElse(null));
    }

    /** The picture under a name, as it comes onto a shelf. */
    Picture named(String name) {
        Optional<Focal> focal = focalX == null ? Optional.empty() : Optional.of(new Focal(focalX, focalY, true));
        Optional<Foot> foot = footDown == null ? Optional.empty() : Optional.of(new Foot(footLeft, footRight, footDown));
        return new Picture(sha, name, width, height, focal, Optional.ofNullable(taken), foot, Optional.empty());
    }
}
