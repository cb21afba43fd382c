package plainlantern.editing;

import java.util.List;
import java.util.function.UnaryOperator;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.GroundShadow;
import plainlantern.sheet.NamedFinish;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Styles;

/** Every colour of a sheet replaced by what a function makes of it. */
final class Recolour {
    private Recolour() {}

    static Sheet of(Sheet sheet, UnaryOperator<Colour> change) {
        List<Element> elements = sheet.elements().stream().map(e -> e instanceof Panel panel ? (Element) of(panel, change) : e).toList();
        Styles styles = sheet.styles();
        List<NamedFinish> finishes = styles.finishes().stream().map(f -> new NamedFinish(f.id(), f.name(), of(f.finish(), change))).toList();
        return sheet.with(elements).withPaper(of(sheet.paper(), change)).withStyles(styles.withFinishes(finishes));
    }

    static Panel of(Panel panel, UnaryOperator<Colour> change) {
        return panel.finished(of(panel.finish(), change)).withContent(panel.content().stream().map(c -> of(c, change)).toList());
    }

    private static Content of(Content content, UnaryOperator<Colour> change) {
        if (content instanceof Wash wash) return new Wash(of(wash.stops(), change), wash.turn(), wash.round(), wash.look());
        if (content instanceof Words words) return words.coloured(change.apply(words.colour()));
        return content;
    }

    private static List<Stop> of(List<Stop> stops, UnaryOperator<Colour> change) {
        return stops.stream().map(s -> new Stop(s.at(), change.apply(s.colour()), s.opacity())).toList();
    }

    private static Paper of(Paper paper, UnaryOperator<Colour> change) {
        if (paper instanceof Paper.Plain plain) return new Paper.Plain(change.apply(plain.colour()));
        if (paper instanceof Paper.Washed washed) return new Paper.Washed(of(washed.stops(), change), washed.turn(), washed.round());
        return paper;
    }

    private static Finish of(Finish finish, UnaryOperator<Colour> change) {
        return finish.rimmed(finish.rim().map(r -> r.coloured(change.apply(r.colour()))))
                .shadowed(finish.shadow().map(s -> of(s, change))).shadowedInside(finish.inner().map(s -> of(s, change)))
                .grounded(finish.ground().map(g -> new GroundShadow(g.width(), g.flatness(), g.softness(), g.opacity(), g.down(), change.apply(g.colour()))));
    }

    private static Shadow of(Shadow s, UnaryOperator<Colour> change) {
        return new Shadow(s.distance(), s.direction(), s.blur(), s.spread(), change.apply(s.colour()), s.opacity());
    }
}
