package plainlantern.fitting;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;
import plainlantern.sheet.Veil.Rests;
import plainlantern.sheet.Veiled;

/** Where veils lie: the frames in which they are told, see {@link Rests}. */
public final class Veils {
    /** The longer side of a picture in the frame of what rests on it. */
    private static final double LONG = 1000;

    private Veils() {}

    /**
     * The layer whose veil edits mean: {@code wanted} where that is switched on, else the frontmost picture, else the frontmost layer; -1
     * where none is.
     */
    public static int acting(Holder holder, int wanted) {
        List<Content> content = holder.content();
        if (wanted >= 0 && wanted < content.size() && !content.get(wanted).look().off()) return wanted;
        int picture = holder.acting(wanted);
        if (picture >= 0) return picture;
        return IntStream.range(0, content.size()).filter(at -> !content.get(at).look().off()).max().orElse(-1);
    }

    /** The layer whose veil edits mean; empty of a glaze. */
    public static Optional<Content> layer(Holder holder, int wanted) {
        int at = acting(holder, wanted);
        return at < 0 ? Optional.empty() : Optional.of(holder.content().get(at));
    }

    /** The veil that edits mean: of a glaze, or of a layer, see {@link #acting}. */
    public static Optional<Veil> of(Holder holder, int layer) {
        return holder.glaze().map(Glaze::veil).orElseGet(() -> layer(holder, layer).flatMap(Content::veil));
    }

    /** What a veil rests on that is new: on the picture where it is of one. */
    public static Rests first(Holder holder, int layer) {
        return layer(holder, layer).flatMap(Content::picture).isPresent() ? Rests.PICTURE : Rests.PANEL;
    }

    /** All veils of an element. */
    public static List<Veil> all(Element element) {
        return element.holder().stream().flatMap(holder -> Stream.concat(holder.glaze().flatMap(Glaze::veil).stream(),
                holder.content().stream().flatMap(layer -> layer.veil().stream()))).toList();
    }

    /** An element with each of its veils changed. */
    public static Element changing(Element element, UnaryOperator<Veil> change) {
        if (all(element).isEmpty()) return element;
        return element.glaze().<Element>map(glaze -> glaze.veiled(glaze.veil().map(change))).orElseGet(() -> element.holding(holder ->
                holder.withContent(holder.content().stream().<Content>map(layer -> layer.veiled(layer.veil().map(change))).toList())));
    }

    /** From the frame of a veil to the frame of its panel, mm. */
    public static Projective toPanel(Rests rests, Optional<Shown> shown) {
        if (rests == Rests.PANEL || shown.isEmpty()) return Projective.of(Affine.IDENTITY);
        double each = longer(shown.get().picture()) / LONG;
        return shown.get().toPanel().after(Affine.scale(each, each));
    }

    /** From the frame of a veil of an element to the sheet; see {@link #of}. */
    public static Projective toSheet(Sheet sheet, Holder holder, int layer, Rests rests) {
        return toPanel(rests, Vistas.shown(sheet, holder, layer)).then(holder.seat().toSheet());
    }

    /** From the frame of the picture's veil to shares of its width and height. */
    public static Affine toShares(Picture picture) {
        double each = longer(picture) / LONG;
        return Affine.scale(each / picture.width(), each / picture.height());
    }

    private static double longer(Picture picture) {
        return Math.max(picture.width(), picture.height());
    }

    /**
     * A veil over what is painted; empty where it hides nothing.
     *
     * @param shown   the picture that it is of, where it is of one
     * @param toPanel from shares of the width and height of what is painted to the panel's frame
     */
    public static Optional<Veiled> worn(Sheet sheet, Holder panel, Optional<Veil> veil, Optional<Shown> shown, Affine toPanel) {
        return veil.filter(v -> !v.idle()).map(v -> {
            Projective frame = toPanel(v.rests(), shown);
            // What is seen in perspective is told as it is seen.
            boolean mounted = v.rests() == Rests.PICTURE && shown.flatMap(Shown::plane).isPresent();
            Veil seen = mounted ? v.resting(Rests.PANEL, frame) : v;
            Affine toFrame = mounted ? Affine.IDENTITY : frame.inverse().local(Point.ORIGIN);
            // A panel may be handed over by itself, elsewhere: the forms lie about it as on the sheet.
            Seat seat = sheet.find(panel.id()).map(Element::seat).orElse(panel.seat());
            Map<String, Path> forms = new HashMap<>();
            for (String id : seen.forms()) sheet.find(id).ifPresent(form -> forms.put(id,
                    form.pathOnSheet().mapped(toFrame.after(seat.toSheet().inverse()))));
            return new Veiled(seen.parts(), toFrame.after(toPanel), forms, toFrame.xScale());
        });
    }
}
