package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Caption;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.GroundShadow;
import plainlantern.sheet.NamedFinish;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Wash;

/**
 * What Dress shows of the selected elements: the finish of the first one.
 *
 * @param ground absent where one of them has no picture
 * @param plate  absent unless all of them are captions
 */
public record DressView(Whose whose, RimFields rim, List<ShadowFields> shadows, Optional<GroundFields> ground,
        Optional<PlateFields> plate, LookFields look,
        Named names) {
    /**
     * @param from the first one's id
     * @param same whether all of the selection have the same finish
     * @param rule whether all of them are rules
     */
    public record Whose(String from, boolean same, boolean rule) {}

    public record LookFields(String feather, String opacity, String blend, List<Blend> blends) {}

    /**
     * @param named the name of the finish that the first one follows, empty where none
     * @param kept  the finishes of the sheet
     */
    public record Named(String named, List<Kept> kept) {}

    /** @param width "0" where there is none */
    public record RimFields(boolean on, String width, String colour, String side, String dash, String join, String ends) {
        public List<String> sides() {
            return labels(Rim.Side.values());
        }

        public List<String> dashes() {
            return labels(Rim.Dash.values());
        }

        public List<String> joins() {
            return labels(Rim.Join.values());
        }

        public List<String> allEnds() {
            return labels(Rim.Ends.values());
        }

        private static List<String> labels(Choice[] all) {
            return Stream.of(all).map(Choice::label).toList();
        }
    }

    /** @param key "behind" or "inside" */
    public record ShadowFields(String key, boolean on, String distance, String direction, String blur, String spread,
            String colour, String opacity) {
        public boolean inside() {
            return key.equals("inside");
        }

        public String title() {
            return inside() ? "Inner shadow" : "Shadow";
        }
    }

    public record GroundFields(boolean on, String width, String flatness, String softness, String down, String opacity, String colour) {}

    public record PlateFields(boolean on, String colour, String opacity, String radius) {}

    /** @param users how many follow it */
    public record Kept(String id, String name, long users, boolean on) {}

    static Optional<DressView> of(Sheet sheet, Collection<String> selected) {
        List<Element> panels = sheet.chosen(selected);
        if (panels.isEmpty()) return Optional.empty();
        Numbers n = new Numbers(sheet);
        Element first = panels.get(0);
        Finish finish = first.finish();
        Optional<GroundFields> ground = panels.stream().allMatch(p -> p.holder().map(h -> h.acting(Typed.FRONTMOST) >= 0).orElse(false))
                ? Optional.of(ground(n, finish.ground())) : Optional.empty();
        Optional<PlateFields> plate = panels.stream().allMatch(p -> p.caption().isPresent())
                ? first.caption().map(caption -> plate(n, caption)) : Optional.empty();
        Whose whose = new Whose(first.id(), panels.stream().allMatch(p -> p.finish().equals(finish)), panels.stream()
                .allMatch(p -> p.rule().isPresent()));
        LookFields look = new LookFields(n.length(finish.feather()), n.percent(finish.look().opacity()), finish.look().blend().css(),
                List.of(Blend.values()));
        Named names = new Named(finish.named().map(id -> sheet.styles().finish(id).name()).orElse(""), kept(sheet, finish));
        return Optional.of(new DressView(whose, rim(n, finish.rim()),
                List.of(shadow(n, "behind", finish.shadow(), Shadow.FIRST), shadow(n, "inside", finish.inner(), Shadow.FIRST_INNER)),
                        ground, plate, look, names));
    }

    /** The finishes of a sheet, the one marked that {@code finish} follows. */
    static List<Kept> kept(Sheet sheet, Finish finish) {
        return sheet.styles().finishes().stream().map(NamedFinish::id).map(id -> new Kept(id, sheet.styles().finish(id).name(),
                sheet.elements().stream().filter(p -> p.finish().named().equals(Optional.of(id))).count(), finish.named()
                        .equals(Optional.of(id)))).toList();
    }

    private static RimFields rim(Numbers n, Optional<Rim> rim) {
        Rim shown = rim.orElse(Rim.FIRST);
        return new RimFields(rim.isPresent(), n.length(rim.map(Rim::width).orElse(0.0)), shown.colour().told(), shown.side().label(),
                shown.dash().label(),
                shown.join().label(), shown.ends().label());
    }

    private static ShadowFields shadow(Numbers n, String key, Optional<Shadow> shadow, Shadow otherwise) {
        Shadow s = shadow.orElse(otherwise);
        return new ShadowFields(key, shadow.isPresent(), n.length(s.distance()), n.degrees(s.direction()), n.length(s.blur()),
                n.length(s.spread()),
                s.colour().told(), n.percent(s.opacity()));
    }

    private static GroundFields ground(Numbers n, Optional<GroundShadow> ground) {
        GroundShadow g = ground.orElse(GroundShadow.FIRST);
        return new GroundFields(ground.isPresent(), n.percent(g.width()), n.percent(g.flatness()), n.percent(g.softness()),
                n.percent(g.down()), n.percent(g.opacity()), g.colour().told());
    }

    private static PlateFields plate(Numbers n, Caption caption) {
        Optional<Wash> plate = caption.plate();
        double radius = caption.outline().radii().stream().findFirst().orElse(0.0);
        return new PlateFields(plate.isPresent(), plate.map(w -> w.stops().get(0).colour().told()).orElse("#FFFFFF"),
                n.percent(plate.map(w -> w.look().opacity()).orElse(0.85)), n.length(radius));
    }
}
