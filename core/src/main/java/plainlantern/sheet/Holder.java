package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Path;
import plainlantern.outline.Outline;

/** An element with a form that holds layers. */
public sealed interface Holder extends Element permits Panel, Float, Caption, Glaze {
    int MOST_LAYERS = 40;

    /** The form, which its seat stretches. */
    Outline outline();

    /** What it shows, from back to front. */
    List<Content> content();

    /** Another form; a float that gets one becomes a panel. */
    Holder withOutline(Outline newOutline);

    Holder withContent(List<Content> newContent);

    @Override
    Holder with(Basics newBasics);

    /** Whether pictures are put into it from the shelf. */
    boolean takesPictures();

    @Override
    default Holder withSeat(Seat newSeat) {
        return with(basics().at(newSeat));
    }

    @Override
    default Holder finished(Finish newFinish) {
        return with(basics().finished(newFinish));
    }

    @Override
    default Holder lockedTo(boolean nowLocked) {
        return with(basics().lockedTo(nowLocked));
    }

    @Override
    default Holder grouped(String newGroup) {
        return with(basics().grouped(newGroup));
    }

    @Override
    default Holder copied(String newId, String newName) {
        return with(new Basics(newId, newName, false, false, "", seat(), finish()));
    }

    @Override
    default Optional<Holder> holder() {
        return Optional.of(this);
    }

    @Override
    default Element holding(Function<Holder, ? extends Element> change) {
        return change.apply(this);
    }

    @Override
    default Path ownPath() {
        return outline().path(seat().width(), seat().height());
    }

    @Override
    default Holder scaled(double factor) {
        return finished(finish().scaled(factor)).withOutline(outline().scaled(factor))
                .withContent(content().stream().map(layer -> layer.scaled(factor)).toList());
    }

    @Override
    default boolean paints() {
        return !shown().isEmpty() || finish().rim().isPresent();
    }

    /**
     * The layer that edits of its picture mean: {@code wanted} where that is a picture, else the frontmost that is one; -1 where none is.
     */
    default int acting(int wanted) {
        if (wanted >= 0 && wanted < content().size() && seen(wanted)) return wanted;
        for (int i = content().size() - 1; i >= 0; i--) if (seen(i)) return i;
        return -1;
    }

    /** Whether the layer there is a picture that is switched on. */
    default boolean seen(int layer) {
        return content().get(layer).picture().isPresent() && !content().get(layer).look().off();
    }

    /** What it shows: all layers but those that are switched off, from back to front. */
    default List<Content> shown() {
        return content().stream().filter(layer -> !layer.look().off()).toList();
    }

    /** The picture that edits mean, see {@link #acting}. */
    default Optional<PictureLayer> picture(int wanted) {
        int at = acting(wanted);
        return at < 0 ? Optional.empty() : content().get(at).picture();
    }

    /** The pictures it holds, switched off or not. */
    @JsonIgnore
    default List<PictureLayer> pictures() {
        return content().stream().flatMap(layer -> layer.picture().stream()).toList();
    }

    /** The layer that shows a vista, if it is one of its members. */
    @JsonIgnore
    default Optional<PictureLayer> sliced() {
        for (Content layer : content()) {
            Optional<PictureLayer> picture = layer.picture();
            if (picture.isPresent() && picture.get().slice().isPresent()) return picture;
        }
        return Optional.empty();
    }

    /** What it shows of a vista, if it is one of its members. */
    @JsonIgnore
    default Optional<Source.Slice> slice() {
        return sliced().flatMap(PictureLayer::slice);
    }

    /** The same with the layer at that index replaced by what {@code change} makes of it. */
    default Holder changingLayer(int at, UnaryOperator<Content> change) {
        List<Content> next = new ArrayList<>(content());
        next.set(at, change.apply(next.get(at)));
        return withContent(next);
    }

    /** The same with {@code picture} in place of the picture that edits mean; behind all other layers where there was none. */
    default Holder showing(int layer, PictureLayer picture) {
        int at = acting(layer);
        if (at >= 0) return changingLayer(at, was -> seen(was.picture(), picture).looking(was.look()).veiled(veil(was.picture(), picture)));
        List<Content> next = new ArrayList<>(content());
        next.add(0, picture);
        return withContent(next);
    }

    /** How a panel bends and blurs what it shows stays, too. */
    private static PictureLayer seen(Optional<PictureLayer> was, PictureLayer now) {
        return now.through().or(() -> was.flatMap(PictureLayer::through)).map(now::seen).orElse(now);
    }

    /** A veil that rests on the panel stays there whatever it shows; one that rests on a picture is of that one. */
    private static Optional<Veil> veil(Optional<PictureLayer> was, PictureLayer now) {
        return now.veil().or(() -> was.filter(w -> w.source().equals(now.source())).flatMap(PictureLayer::veil))
                .or(() -> was.flatMap(PictureLayer::veil).filter(veil -> veil.rests() == Veil.Rests.PANEL));
    }

    /** The same with each picture replaced by what {@code change} makes of it. */
    default Holder changingPictures(UnaryOperator<PictureLayer> change) {
        return withContent(content().stream().map(layer -> layer.picture().<Content>map(change).orElse(layer)).toList());
    }

    /** The same with each slice of a vista replaced by what {@code change} makes of it. */
    default Holder changingSlices(UnaryOperator<PictureLayer> change) {
        return changingPictures(layer -> layer.slice().isPresent() ? change.apply(layer) : layer);
    }

    /** The same with each picture of its own replaced by what {@code change} makes of it. */
    default Holder changingOwn(UnaryOperator<PictureLayer> change) {
        return changingPictures(layer -> layer.own().isPresent() ? change.apply(layer) : layer);
    }

    /** For constructors: the layers, if a holder may have them. */
    static List<Content> checked(List<Content> content) {
        BadInput.unless(content.size() <= MOST_LAYERS, "panels", "A panel holds at most " + MOST_LAYERS + " layers.");
        int slices = 0;
        for (Content layer : content) if (layer.picture().flatMap(PictureLayer::slice).isPresent()) slices++;
        BadInput.unless(slices <= 1, "panels", "A panel shows one vista at a time.");
        return List.copyOf(content);
    }
}
