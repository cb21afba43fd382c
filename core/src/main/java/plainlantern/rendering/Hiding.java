package plainlantern.rendering;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import plainlantern.checking.Told;
import plainlantern.fitting.Veils;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.VeilPart;
import plainlantern.sheet.Veiled;
import plainlantern.treating.Patch;
import plainlantern.treating.Veiling;

/** Veils that leave nothing. Those that look at colours pass: that would need the pictures. */
public final class Hiding {
    /** Places that are looked at, along the longer side of the form's box. */
    private static final int PLACES = 48;
    /** What is left less than that nobody sees. */
    private static final float SEEN = 1 / 255f;

    private Hiding() {}

    /** The layers and glazes of which nothing is left. */
    public static Set<Told.Hidden> of(Sheet sheet) {
        Set<Told.Hidden> hidden = new HashSet<>();
        for (Element element : sheet.elements()) {
            if (element.hidden() || Veils.all(element).isEmpty()) continue;
            Path form = element.pathOnSheet();
            for (Scene.Layer layer : Scene.item(sheet, element, form).layers()) {
                if (layer.mask().filter(mask -> !mask.veil().looks() && hidden(mask, form)).isPresent())
                    hidden.add(new Told.Hidden(element.id(), layer.at()));
            }
        }
        return hidden;
    }

    private static boolean hidden(Scene.Mask mask, Path form) {
        Box box = form.bounds();
        double each = Math.max(box.width(), box.height()) / PLACES;
        Affine toSheet = Affine.move(box.x(), box.y()).after(Affine.scale(each, each));
        float[] left = left(mask.veil(), mask.toSheet().inverse().after(toSheet));
        float[] outside = left(new Veiled(List.of(new VeilPart.Form("form", 0, 1, false)), Affine.IDENTITY, Map.of("form", form), 1),
                toSheet);
        return IntStream.range(0, left.length).allMatch(i -> left[i] < SEEN || outside[i] > 0.5f)
                && IntStream.range(0, left.length).anyMatch(i -> outside[i] <= 0.5f);
    }

    private static float[] left(Veiled veil, Affine toShares) {
        return Veiling.left(veil, new Patch(new int[PLACES * PLACES], PLACES, PLACES, toShares));
    }
}
