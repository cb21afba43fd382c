package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;

/**
 * A picture in a panel.
 *
 * @param source    where its pixels come from
 * @param placement where it lies: flat or mounted for a picture of the panel's own, nudged for a slice of a vista
 * @param treatment what is done to its pixels; a slice's comes on top of its vista's and has nothing but a tone
 * @param through   how it is bent and blurred, where it is; nothing is shifted
 * @param veil      what hides parts of it
 */
@JsonTypeName("picture")
public record PictureLayer(Source source, Placement placement, Treatment treatment, Look look, Optional<Through> through,
        Optional<Veil> veil) implements Content {
    public PictureLayer {
        treatment = treatment == null ? Treatment.NONE : treatment;
        look = look == null ? Look.PLAIN : look;
        through = through == null ? Optional.empty() : through.filter(t -> !t.equals(Through.CLEAR));
        veil = veil == null ? Optional.empty() : veil;
        BadInput.unless(source.own().isPresent() == placement.flat().isPresent(), "panels",
                "A picture lies flat or is mounted, and a slice is nudged.");
    }

    /** A picture of a panel's own. */
    public static PictureLayer own(Picture picture, Fit fit, Pose pose, boolean held) {
        return new PictureLayer(new Source.Own(picture.id()), new Flat(fit, pose, held), picture.treatment(), Look.PLAIN,
                Optional.empty(), Optional.empty());
    }

    /** A slice in register, looking through. */
    public static PictureLayer slice(String vista) {
        return new PictureLayer(new Source.Slice(vista, Optional.empty()), Nudge.NONE, Treatment.NONE, Look.PLAIN,
                Optional.empty(), Optional.empty());
    }

    public Optional<Source.Own> own() {
        return source.own();
    }

    public Optional<Source.Slice> slice() {
        return source.slice();
    }

    /** Whether it is that picture of the panel's own. */
    public boolean shows(String picture) {
        return own().map(own -> own.picture().equals(picture)).orElse(false);
    }

    /** How it lies in its panel, or in the plane it is mounted in; throws where it is a slice. */
    public Flat flat() {
        return placement.flat().orElseThrow();
    }

    /** A slice's nudge; throws where it is none. */
    public Nudge nudge() {
        return placement.nudge().orElseThrow();
    }

    /** The same elsewhere in its panel, or in its plane. */
    public PictureLayer lying(Flat newFlat) {
        return new PictureLayer(source, placement.plane().<Placement>map(plane -> new Mounted(plane, newFlat)).orElse(newFlat), treatment,
                look, through, veil);
    }

    /** The plane that it is mounted in. */
    public Optional<Plane> plane() {
        return placement.plane();
    }

    /** The same mounted in a plane, or in none. */
    public PictureLayer mounted(Optional<Plane> newPlane) {
        return new PictureLayer(source, newPlane.<Placement>map(plane -> new Mounted(plane, flat())).orElseGet(this::flat), treatment,
                look, through, veil);
    }

    /** The same nudged otherwise. */
    public PictureLayer nudged(Nudge newNudge) {
        return new PictureLayer(source, newNudge, treatment, look, through, veil);
    }

    /** The same slice carried from there, or looking through. */
    public PictureLayer homed(Optional<Seat> newHome) {
        return new PictureLayer(new Source.Slice(slice().orElseThrow().vista(), newHome), placement, treatment, look, through, veil);
    }

    public PictureLayer treated(Treatment newTreatment) {
        return new PictureLayer(source, placement, newTreatment, look, through, veil);
    }

    /** The same bent and blurred so; nothing is shifted. */
    public PictureLayer seen(Through newThrough) {
        Through still = new Through(newThrough.blur(), 0, 0, newThrough.bend(), newThrough.off());
        return new PictureLayer(source, placement, treatment, look, Optional.of(still), veil);
    }

    @Override
    public PictureLayer veiled(Optional<Veil> newVeil) {
        return new PictureLayer(source, placement, treatment, look, through, newVeil.flatMap(Veil::kept));
    }

    @Override
    public PictureLayer looking(Look newLook) {
        return new PictureLayer(source, placement, treatment, newLook, through, veil);
    }

    @Override
    public PictureLayer recoloured(UnaryOperator<Colour> change) {
        return treated(treatment.toning(tone -> tone.recoloured(change)));
    }

    @Override
    public PictureLayer scaled(double factor) {
        PictureLayer scaled = treated(treatment.toning(tone -> tone.scaled(factor))).veiled(veil.map(v -> v.scaled(factor)));
        return through.map(t -> scaled.seen(t.scaled(factor))).orElse(scaled);
    }

    @Override
    public <T> T as(Kinds<T> kinds) {
        return kinds.picture(this);
    }

    @Override
    public Optional<PictureLayer> picture() {
        return Optional.of(this);
    }
}
