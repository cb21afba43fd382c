package plainlantern.studio.board;

import java.util.List;
import plainlantern.fitting.Dealing.Dealt;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** What is said of a deal before it is made: of each panel, and of all. */
record DealView(String says, List<Row> rows) {
    record Row(String panel, String name, String picture, String cut, String ppi) {}

    static DealView of(Sheet sheet, List<Dealt> dealt) {
        Numbers n = new Numbers(sheet);
        List<Row> rows = dealt.stream().map(d -> new Row(d.panel(), sheet.element(d.panel()).name(), sheet.picture(d.picture()).name(),
                n.percent(d.cut()),
                d.ppi() < sheet.ppi() - 0.5 ? n.ppi(d.ppi()) : "")).toList();
        double average = dealt.stream().mapToDouble(Dealt::cut).average().orElse(0);
        Dealt worst = dealt.stream().max((a, b) -> Double.compare(a.cut(), b.cut())).orElseThrow();
        long without = sheet.holders().stream().filter(p -> p.takesPictures() && p.content().isEmpty()).map(Element::id)
                .filter(id -> dealt.stream().noneMatch(d -> d.panel().equals(id))).count();
        String says = "Of the pictures " + n.percent(average) + " is cut away on average, most in " + sheet.element(worst.panel()).name()
                + ": " + n.percent(worst.cut()) + "."
                + (without == 0 ? "" : without == 1 ? " One panel stays empty." : " " + without + " panels stay empty.");
        return new DealView(says, rows);
    }
}
