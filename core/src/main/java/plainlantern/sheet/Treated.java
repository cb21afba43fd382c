package plainlantern.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;

/**
 * What is painted of a picture: its pixels after all that is done to them.
 *
 * @param picture the picture's id
 * @param cleared the plain background that is taken out first
 * @param tones   then, one after the other; none of them plain
 * @param warp    how it is drawn in perspective at last
 * @param through present where it is no picture but what lies beneath a glaze: how that is seen before its tones
 * @param lens    how a picture is bent and blurred after its tones
 * @param veil    what hides parts of it, at last of all
 */
public record Treated(String picture, Optional<Cleared> cleared, List<Toned> tones, Optional<Warp> warp, Optional<Through> through,
        Optional<Lens> lens, Optional<Veiled> veil) {
    private static final int MOST = 2;

    public Treated {
        cleared = cleared == null ? Optional.empty() : cleared;
        tones = tones == null ? List.of() : List.copyOf(tones);
        warp = warp == null ? Optional.empty() : warp;
        through = through == null ? Optional.empty() : through;
        lens = lens == null ? Optional.empty() : lens;
        veil = veil == null ? Optional.empty() : veil;
        BadInput.unless(tones.size() <= MOST, "tones", "A picture has a tone of its own and one of its vista, no more.");
    }

    /** Of a picture. */
    public Treated(String picture, Optional<Cleared> cleared, List<Toned> tones, Optional<Warp> warp) {
        this(picture, cleared, tones, warp, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** Without a veil. */
    public Treated(String picture, Optional<Cleared> cleared, List<Toned> tones, Optional<Warp> warp, Optional<Through> through) {
        this(picture, cleared, tones, warp, through, Optional.empty(), Optional.empty());
    }

    /** What lies beneath a glaze: {@code name} tells which glaze and what lies there. */
    public static Treated beneath(String name, Glaze glaze, Supplier<Lying> lying) {
        List<Toned> tones = new ArrayList<>();
        add(glaze.seenTone(), lying, tones);
        return new Treated(name, Optional.empty(), tones, Optional.empty(), Optional.of(glaze.through().seen()));
    }

    /** The picture's id, or the id of the glaze, whatever lies beneath that. */
    public String subject() {
        return through.isEmpty() ? picture : picture.substring(0, picture.lastIndexOf('-'));
    }

    /** The picture as it is. */
    public static Treated plain(String picture) {
        return new Treated(picture, Optional.empty(), List.of(), Optional.empty());
    }

    /** Treated so but for what depends on where it lies. */
    public static Treated anywhere(String picture, Treatment treatment) {
        List<Toned> tones = Stream.of(treatment.under(), treatment.seen()).map(tone -> new Toned(tone, Optional.empty()).anywhere())
                .filter(toned -> !toned.tone().plain()).toList();
        return new Treated(picture, treatment.cleared(), tones, Optional.empty());
    }

    /** Treated so where it lies: {@code under} is where its vista does, if it has one. */
    public static Treated of(String picture, Treatment treatment, Supplier<Lying> under, Supplier<Lying> own) {
        List<Toned> tones = new ArrayList<>();
        add(treatment.under(), under, tones);
        add(treatment.seen(), own, tones);
        return new Treated(picture, treatment.cleared(), tones, Optional.empty());
    }

    private static void add(Tone tone, Supplier<Lying> lying, List<Toned> to) {
        if (!tone.plain()) to.add(new Toned(tone, tone.placed() ? Optional.of(lying.get()) : Optional.empty()));
    }

    /** The same with its tones changed; those that are plain then are gone. */
    public Treated toning(UnaryOperator<Tone> change) {
        return new Treated(picture, cleared, tones.stream().map(toned -> new Toned(change.apply(toned.tone()), toned.lying()))
                .filter(toned -> !toned.tone().plain()).toList(), warp, through, lens, veil);
    }

    /** The same drawn in perspective, or not. */
    public Treated warped(Optional<Warp> newWarp) {
        return new Treated(picture, cleared, tones, newWarp, through, lens, veil);
    }

    /** The same before its tones. */
    public Treated toneless() {
        return new Treated(picture, cleared, List.of(), warp, through, lens, veil);
    }

    /** The same bent and blurred so, or not. */
    public Treated seen(Optional<Lens> newLens) {
        return new Treated(picture, cleared, tones, warp, through, newLens, veil);
    }

    /** The same veiled so, or not. */
    public Treated veiled(Optional<Veiled> newVeil) {
        return new Treated(picture, cleared, tones, warp, through, lens, newVeil);
    }

    /** The same without a veil. */
    public Treated unveiled() {
        return veil.isEmpty() ? this : veiled(Optional.empty());
    }

    /** Whether pixels stay as they are. */
    public boolean untouched() {
        return cleared.isEmpty() && tones.isEmpty() && warp.isEmpty() && through.isEmpty() && lens.isEmpty() && veil.isEmpty();
    }
}
