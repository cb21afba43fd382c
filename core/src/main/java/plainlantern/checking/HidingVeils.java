package plainlantern.checking;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import plainlantern.editing.veiling.Unveil;
import plainlantern.fitting.Veils;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Element;
import plainlantern.sheet.VeilPart;
import plainlantern.sheet.Veiled;
import plainlantern.treating.Patch;
import plainlantern.treating.Veiling;

/** Veils that leave nothing of what a form shows, and such as hide where a panel lies that is gone. Those that look at colours pass. */
final class HidingVeils implements Check {
    /** Places that are looked at, along the longer side of the form's box. */
    private static final int PLACES = 48;
    /** What is left less than that nobody sees. */
    private static final float SEEN = 1 / 255f;

    @Override
    public String title() {
        return "Veils that hide too much or nothing";
    }

    @Override
    public List<Fault> find(Checked checked) {
        return checked.elements().stream().filter(element -> !Veils.all(element).isEmpty()).flatMap(element ->
                Stream.concat(hiding(checked, element), gone(checked, element))).toList();
    }

    private static Stream<Fault> hiding(Checked checked, Element element) {
        Scene.Item item = Scene.item(checked.sheet(), element, checked.form(element));
        return item.pictures().stream().filter(picture -> picture.treated().veil().filter(veil -> !veil.looks()).isPresent())
                .filter(picture -> hidden(picture, checked.form(element)))
                .map(picture -> checked.fault(Weight.WARNING, element, element.name() + ": its veil hides all of the picture.",
                        new Unveil(List.of(element.id()), picture.at(), OptionalInt.empty())));
    }

    private static Stream<Fault> gone(Checked checked, Element element) {
        boolean any = Veils.all(element).stream().flatMap(veil -> veil.forms().stream()).anyMatch(id -> checked.sheet().find(id).isEmpty());
        return any ? Stream.of(checked.fault(Weight.NOTE, element, element.name()
                + ": its veil hides where a panel lies that is no longer on the sheet.")) : Stream.empty();
    }

    private static boolean hidden(PaintedPicture picture, Path form) {
        Box box = form.bounds();
        double each = Math.max(box.width(), box.height()) / PLACES;
        Affine toSheet = Affine.move(box.x(), box.y()).after(Affine.scale(each, each));
        Affine toPicture = Affine.scale(1.0 / picture.width(), 1.0 / picture.height()).after(picture.pixelsToSheet().inverse());
        float[] left = left(picture.treated().veil().orElseThrow(), toPicture.after(toSheet));
        float[] outside = left(new Veiled(List.of(new VeilPart.Form("form", 0, 1, false)), Affine.IDENTITY, Map.of("form", form), 1),
                toSheet);
        return IntStream.range(0, left.length).allMatch(i -> left[i] < SEEN || outside[i] > 0.5f)
                && IntStream.range(0, left.length).anyMatch(i -> outside[i] <= 0.5f);
    }

    private static float[] left(Veiled veil, Affine toPicture) {
        return Veiling.left(veil, new Patch(new int[PLACES * PLACES], PLACES, PLACES, toPicture));
    }
}
