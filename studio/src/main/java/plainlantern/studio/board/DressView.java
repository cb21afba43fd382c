package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Finish;
import plainlantern.sheet.GroundShadow;
import plainlantern.sheet.NamedFinish;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Role;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;

/**
 * What Dress shows of the selected elements: the finish of the first one.
 *
 * @param same    whether all of the selection have the same finish
 * @param rule    whether all of them are rules
 * @param ground  absent where one of them has no picture
 * @param plate   absent unless all of them are captions
 * @param named   the name of the finish that the first one follows, empty where none
 * @param kept    the finishes of the sheet
 */
public record DressView(String from, boolean same, boolean rule, RimFields rim, List<ShadowFields> shadows, Optional<GroundFields> ground, String feather, String opacity, String blend,
                        List<Blend> blends, Optional<PlateFields> plate, String named, List<Kept> kept) {
    /** @param width "0" where there is none */
    public record RimFields(boolean on, String width, String colour, String side, String dash, String join, String ends,
                            List<String> sides, List<String> dashes, List<String> joins, List<String> allEnds) {}

    /** @param key "behind" or "inside" */
    public record ShadowFields(String key, String title, boolean on, boolean inside, String distance, String direction, String blur, String spread, String colour, String opacity) {}

    public record GroundFields(boolean on, String width, String flatness, String softness, String down, String opacity, String colour) {}

    public record PlateFields(boolean on, String colour, String opacity, String radius) {}

    /** @param users how many follow it */
    public record Kept(String id, String name, long users, boolean on) {}

    static Optional<DressView> of(Sheet sheet, Collection<String> selected) {
        List<Panel> panels = sheet.chosen(selected);
        if (panels.isEmpty()) return Optional.empty();
        Numbers n = new Numbers(sheet);
        Panel first = panels.get(0);
        Finish finish = first.finish();
        Optional<GroundFields> ground = panels.stream().allMatch(p -> p.acting(-1) >= 0) ? Optional.of(ground(n, finish.ground())) : Optional.empty();
        Optional<PlateFields> plate = panels.stream().allMatch(p -> p.role() == Role.CAPTION) ? Optional.of(plate(n, first)) : Optional.empty();
        return Optional.of(new DressView(first.id(), panels.stream().allMatch(p -> p.finish().equals(finish)), panels.stream().allMatch(p -> p.role() == Role.RULE), rim(n, finish.rim()),
                List.of(shadow(n, "behind", "Shadow", finish.shadow(), Shadow.FIRST), shadow(n, "inside", "Inner shadow", finish.inner(), Shadow.FIRST_INNER)), ground,
                n.length(finish.feather()), n.percent(finish.look().opacity()), finish.look().blend().css(), List.of(Blend.values()), plate,
                finish.named().map(id -> sheet.styles().finish(id).name()).orElse(""), kept(sheet, finish)));
    }

    /** The finishes of a sheet, the one marked that {@code finish} follows. */
    static List<Kept> kept(Sheet sheet, Finish finish) {
        return sheet.styles().finishes().stream().map(NamedFinish::id).map(id -> new Kept(id, sheet.styles().finish(id).name(),
                sheet.panels().stream().filter(p -> p.finish().named().equals(Optional.of(id))).count(), finish.named().equals(Optional.of(id)))).toList();
    }

    private static RimFields rim(Numbers n, Optional<Rim> rim) {
        Rim shown = rim.orElse(Rim.FIRST);
        return new RimFields(rim.isPresent(), n.length(rim.map(Rim::width).orElse(0.0)), shown.colour().told(), shown.side().label(), shown.dash().label(), shown.join().label(), shown.ends().label(),
                Stream.of(Rim.Side.values()).map(Rim.Side::label).toList(), Stream.of(Rim.Dash.values()).map(Rim.Dash::label).toList(),
                Stream.of(Rim.Join.values()).map(Rim.Join::label).toList(), Stream.of(Rim.Ends.values()).map(Rim.Ends::label).toList());
    }

    private static ShadowFields shadow(Numbers n, String key, String title, Optional<Shadow> shadow, Shadow otherwise) {
        Shadow s = shadow.orElse(otherwise);
        return new ShadowFields(key, title, shadow.isPresent(), key.equals("inside"), n.length(s.distance()), n.degrees(s.direction()), n.length(s.blur()), n.length(s.spread()), s.colour().told(), n.percent(s.opacity()));
    }

    private static GroundFields ground(Numbers n, Optional<GroundShadow> ground) {
        GroundShadow g = ground.orElse(GroundShadow.FIRST);
        return new GroundFields(ground.isPresent(), n.percent(g.width()), n.percent(g.flatness()), n.percent(g.softness()), n.percent(g.down()), n.percent(g.opacity()), g.colour().told());
    }

    private static PlateFields plate(Numbers n, Panel caption) {
        Optional<Wash> plate = caption.content().get(0) instanceof Wash wash ? Optional.of(wash) : Optional.empty();
        double radius = caption.outline() instanceof Rectangle r ? r.topLeft() : 0;
        return new PlateFields(plate.isPresent(), plate.map(w -> w.stops().get(0).colour().told()).orElse("#FFFFFF"), n.percent(plate.map(w -> w.look().opacity()).orElse(0.85)), n.length(radius));
    }
}
