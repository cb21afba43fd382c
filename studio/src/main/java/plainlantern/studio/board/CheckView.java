package plainlantern.studio.board;

import java.util.List;
import plainlantern.checking.Fault;
import plainlantern.checking.Report;
import plainlantern.checking.Weight;
import plainlantern.sheet.SheetJson;

/** The faults of a sheet as the bench lists them. */
public record CheckView(List<Kind> kinds, long faults, long warnings, long notes, String says) {
    /**
     * All faults of one kind.
     *
     * @param mendAll the edit that makes all of them good, as JSON; empty where there are not two or more mends
     */
    public record Kind(String title, String weight, List<Row> rows, String mendAll) {}

    /**
     * @param panels ids, separated by spaces
     * @param place  left, top, right and bottom on the sheet, mm, separated by spaces
     * @param mend   the edit as JSON, empty where there is none
     */
    public record Row(String says, String weight, String panels, String place, String mend) {}

    static CheckView of(Report report) {
        return new CheckView(report.kinds().stream().map(CheckView::kind).toList(), report.count(Weight.FAULT),
                report.count(Weight.WARNING), report.count(Weight.NOTE), report.warning());
    }

    private static Kind kind(Report.Kind kind) {
        return new Kind(kind.title(), kind.weight().label(), kind.faults().stream().map(CheckView::row).toList(), kind.mendAll()
                .map(SheetJson.MAPPER::writeValueAsString).orElse(""));
    }

    private static Row row(Fault fault) {
        String place = fault.place().x() + " " + fault.place().y() + " " + fault.place().right() + " " + fault.place().bottom();
        return new Row(fault.says(), fault.weight().label(), String.join(" ", fault.panels()), place,
                fault.mend().map(SheetJson.MAPPER::writeValueAsString).orElse(""));
    }
}
