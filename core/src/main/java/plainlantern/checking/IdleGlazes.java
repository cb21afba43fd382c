package plainlantern.checking;

import java.util.List;
import java.util.Optional;
import plainlantern.editing.placing.Remove;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Look;
import plainlantern.sheet.Paper;

/** Glazes that change nothing, or have nothing beneath them. */
final class IdleGlazes implements Check {
    @Override
    public String title() {
        return "Glazes without effect";
    }

    @Override
    public List<Fault> find(Checked checked) {
        return checked.elements().stream().flatMap(e -> e.glaze().stream()).flatMap(glaze -> why(checked, glaze)
                .map(why -> checked.fault(Weight.NOTE, glaze, glaze.name() + why, new Remove(List.of(glaze.id())))).stream()).toList();
    }

    private static Optional<String> why(Checked checked, Glaze glaze) {
        Finish finish = glaze.finish();
        boolean bare = finish.looking(Look.PLAIN).following(Optional.empty()).equals(Finish.NONE);
        if (finish.look().opacity() == 0 || glaze.clear() && bare && finish.look().blend() == Blend.NORMAL)
            return Optional.of(" changes nothing of what lies beneath it.");
        Box box = checked.box(glaze);
        boolean paper = !checked.sheet().paper().equals(new Paper.None());
        Box seen = box.moved(new Point(-glaze.through().dx(), -glaze.through().dy()));
        boolean any = paper || checked.sheet().beneath(glaze.id()).stream().filter(e -> !e.hidden() && e.paints())
                .map(Element::boundsOnSheet).anyMatch(seen::meets);
        return any ? Optional.empty() : Optional.of(" has nothing beneath it.");
    }
}
