package plainlantern.studio.board;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import plainlantern.editing.filling.ClearBackground;
import plainlantern.pattern.EvenGrid;
import plainlantern.pattern.Honeycomb;
import plainlantern.pattern.RunningBond;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Element;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.shelf.PictureAddress;

/** What is shown of one picture when one looks closer. */
public record PictureCloser(Picture picture, String size, String taken, List<? extends Element> users, List<Picture> others,
        List<Split> splits,
        Clearing clearing) {
    /** What is taken out of it, or would be first. */
    public record Clearing(String background, String tolerance, String softness, boolean cleared) {}

    /** A pattern that a picture can be split by, with its fields. */
    public record Split(String kind, String label, List<Fields.Field> fields) {}

    /** Where its pixels are, without its background where that is taken out. */
    public String pixels() {
        return PictureAddress.of(picture.shown()) + "/medium";
    }

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm", Locale.ENGLISH);

    private static List<Split> splits(Sheet sheet) {
        double shorter = sheet.area().orElse(sheet.bounds()).shorter();
        return List.of(new Split("even-grid", "Grid", fields(EvenGrid.class, sheet, shorter)),
                new Split("running-bond", "Running bond", fields(RunningBond.class, sheet, shorter)),
                new Split("honeycomb", "Honeycomb", fields(Honeycomb.class, sheet, shorter)));
    }

    private static List<Fields.Field> fields(Class<?> pattern, Sheet sheet, double shorter) {
        return Fields.of(pattern, Optional.empty(), new Numbers(sheet), shorter).stream().filter(f -> !f.kind().equals("weights")).toList();
    }

    /** @param corner the colour that is most likely its background */
    static PictureCloser of(Sheet sheet, String id, Colour corner) {
        Picture picture = sheet.picture(id);
        Numbers n = new Numbers(sheet);
        Cleared cleared = picture.treatment().cleared().orElse(ClearBackground.FIRST.coloured(corner));
        return new PictureCloser(picture, new ShelfCard(picture, 0).size(), picture.taken().map(DAY::format).orElse(""), sheet.users(id),
                sheet.shelf().stream().filter(p -> !p.id().equals(id)).toList(), splits(sheet),
                new Clearing(cleared.colour().hex(), n.percent(cleared.tolerance()), n.percent(cleared.softness()), picture.treatment()
                        .cleared().isPresent()));
    }
}
