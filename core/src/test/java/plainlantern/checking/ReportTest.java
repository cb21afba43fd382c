package plainlantern.checking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static plainlantern.Sheets.DAWN;
import static plainlantern.Sheets.TALL;
import static plainlantern.Sheets.after;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.Edit;
import plainlantern.editing.filling.PlaceFocal;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.reading.EditReader;
import plainlantern.fitting.FocalPlace;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Contents;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treated;
import plainlantern.sheet.SheetJson;

/** The faults of a sheet: each kind is found with its measure, is not found where it is not, and is gone after its mend. */
class ReportTest {
    private static final String FILL = "{'kind':'fill','panels':['p1','p2','p3','p4'],'picture':'" + DAWN.id() + "'}";

    /** Four panels of 40 by 60 mm in a row, 10 mm apart, 20 mm from the trim; all show one large picture. */
    private static Sheet row(String... edits) {
        Sheet sheet = new ShelvePictures(List.of(DAWN)).apply(Sheet.empty("Check", Unit.MM, 230, 100, 300));
        Sheet laid = after(sheet, "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':4,"
                + "'gapAcross':10,'gapDown':0},'margins':{'top':20,'right':20,'bottom':20,'left':20}}", FILL,
                "{'kind':'set-focal','picture':'" + DAWN.id() + "','x':0.5,'y':0.5}");
        return after(laid, edits);
    }

    /** Five thousand panels: what is off is found; its mend is offered, though trying it would take the whole sheet once more. */
    @Test
    void thousandsOfPanelsAreChecked() {
        Sheet grid = after(Sheet.empty("Check", Unit.MM, 1030, 530, 300), "{'kind':'lay-out','where':'replace',"
                + "'pattern':{'kind':'even-grid','rows':50,'columns':100,'gapAcross':2,'gapDown':2},"
                + "'margins':{'top':15,'right':15,'bottom':15,'left':15}}");
        assertThat(grid.panels()).hasSize(Contents.MOST_ELEMENTS);
        assertThat(kind(grid, "Nearly aligned")).isEmpty();
        Sheet off = after(grid, "{'kind':'move-panels','panels':['p2550'],'dx':0.2,'dy':0}");
        mended(off, "Nearly aligned", Weight.WARNING, "Panel 2550 is 0.20 mm off the edge of another panel");
        // Its row has a wider gap and a narrower one, its column a wide one where it was.
        assertThat(kind(off, "Unequal gaps").orElseThrow().faults()).hasSize(3);
    }

    private static Optional<Report.Kind> kind(Sheet sheet, String title) {
        return Report.of(sheet, Told.NOTHING).kinds().stream().filter(k -> k.title().equals(title)).findFirst();
    }

    /** The one fault of that kind, which is of that weight and says that. */
    private static Fault only(Sheet sheet, String title, Weight weight, String says) {
        List<Fault> faults = kind(sheet, title).orElseThrow(() -> new AssertionError("no " + title)).faults();
        assertThat(faults).as(title).hasSize(1);
        assertThat(faults.get(0).says()).contains(says);
        assertThat(faults.get(0).weight()).isEqualTo(weight);
        return faults.get(0);
    }

    /** As {@link #only}, and gone after its mend. */
    private static Sheet mended(Sheet sheet, String title, Weight weight, String says) {
        Sheet after = only(sheet, title, weight, says).mend().orElseThrow(() -> new AssertionError("no mend")).on(sheet);
        assertThat(kind(after, title)).as("after its mend").isEmpty();
        assertThat(grave(after, weight)).as("and no other in its place").isLessThan(grave(sheet, weight));
        return after;
    }

    /** How many faults of that weight or a heavier one. */
    private static long grave(Sheet sheet, Weight least) {
        return Report.found(sheet, Told.NOTHING).kinds().stream().flatMap(k -> k.faults().stream())
                .filter(f -> f.weight().compareTo(least) <= 0).count();
    }

    @Test
    void aSoundSheetHasNone() {
        assertThat(Report.of(row(), Told.NOTHING).kinds()).isEmpty();
        only(row("{'kind':'seat-panels','panels':['p2'],'left':61,'width':47}"), "Twins side by side", Weight.NOTE,
                "Panel 1 and Panel 2 show the same picture");
    }

    @Test
    void picturesInTheirPanels() {
        only(row("{'kind':'empty','panels':['p2']}"), "Empty panels", Weight.WARNING, "Panel 2 is empty.");
        mended(row("{'kind':'hold-covered','panels':['p1'],'held':false}", "{'kind':'centre-picture','panels':['p1'],'down':10}"),
                "Bare areas", Weight.FAULT, "17 % is bare, up to 10.00 mm at the top");
        only(row("{'kind':'zoom-picture','panels':['p3'],'zoom':800}"), "Soft pictures", Weight.WARNING,
                "Dawn: 212 of 300 ppi in Panel 3.");
        Fault both = kind(row("{'kind':'zoom-picture','panels':['p1','p3'],'zoom':800}"), "Soft pictures").orElseThrow().faults()
                .get(0);
        assertThat(both.says()).isEqualTo("Dawn: 212 of 300 ppi in 2 panels.");
        assertThat(both.panels()).containsExactly("p1", "p3");
        // 1.5 % fewer pixels than are wanted are enough.
        assertThat(kind(row("{'kind':'zoom-picture','panels':['p3'],'zoom':" + 800 * 212.2 / 300 * 1.015 + "}"), "Soft pictures"))
                .isEmpty();
        only(row("{'kind':'zoom-picture','panels':['p3'],'zoom':1200}"), "Soft pictures", Weight.FAULT, "141 of 300 ppi");
        mended(row("{'kind':'set-fit','panels':['p2'],'fit':'stretch'}"), "Stretched pictures", Weight.WARNING, "too tall");
        mended(row("{'kind':'zoom-picture','panels':['p4'],'zoom':300}", "{'kind':'move-picture','panels':['p4'],'dx':30,'dy':0}"),
                "Focal points at the edge", Weight.FAULT, "outside");
        only(row("{'kind':'add-panel','outline':{'kind':'ellipse'}}", "{'kind':'fill','panels':['p5'],'picture':'" + DAWN.id() + "'}",
                "{'kind':'seat-panels','panels':['p5'],'left':30,'top':40,'width':20,'height':20}"),
                "Covered focal points", Weight.WARNING, "Panel 5 lies over the focal point");
        Sheet other = new ShelvePictures(List.of(TALL)).apply(row());
        mended(other, "Pictures never used", Weight.NOTE, "Reeds is on the shelf and used nowhere");
    }

    /** On a pixel sheet what counts is enlargement beyond one pixel for one. */
    @Test
    void screensCountEnlargement() {
        Sheet screen = after(new ShelvePictures(List.of(DAWN)).apply(Sheet.empty("Screen", Unit.PX, 300, 200, 72)),
                "{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0}}",
                "{'kind':'fill','panels':['p1'],'picture':'" + DAWN.id() + "'}", "{'kind':'set-fit','panels':['p1'],'fit':'actual size'}",
                        "{'kind':'zoom-picture','panels':['p1'],'zoom':2500}");
        assertThat(kind(screen, "Soft pictures").orElseThrow().faults().get(0).says())
                .matches("Dawn: enlarged to 1[0-9]{2} % in Panel 1\\.");
    }

    @Test
    void elementsOnTheSheet() {
        only(row("{'kind':'move-panels','panels':['p1'],'dx':-80,'dy':0}"), "Beside the sheet", Weight.FAULT, "nothing of it is seen");
        Sheet bled = mended(row("{'kind':'seat-panels','panels':['p1'],'left':-1.5,'top':-1}"), "Ends within the bleed", Weight.WARNING,
                "at the left and top");
        assertThat(bled.holder("p1").boundsOnSheet().x()).isEqualTo(-3);
        mended(row("{'kind':'seat-panels','panels':['p1'],'left':0}"), "Stops at the trim", Weight.FAULT, "should reach 3.00 mm beyond");
        only(row("{'kind':'seat-panels','panels':['p1'],'left':2}"), "Close to the trim", Weight.NOTE,
                "less than 3.00 mm from the trim at the left");
        only(row("{'kind':'add-caption','text':'High water'}", "{'kind':'seat-panels','panels':['p5'],'left':2,'top':80}"),
                "Close to the trim", Weight.WARNING, "Caption 5");
        mended(row("{'kind':'move-panels','panels':['p3'],'dx':0,'dy':0.3}"), "Nearly aligned", Weight.WARNING, "Panel 3 is 0.30 mm off");
        mended(row("{'kind':'move-panels','panels':['p4'],'dx':1.2,'dy':0}"), "Unequal gaps", Weight.WARNING,
                "Before Panel 4 the gap is 11.20 mm, the others of its row are 10.00 mm");
        only(row("{'kind':'seat-panels','panels':['p2'],'width':1.4}"), "Slivers", Weight.WARNING, "only 1.40 mm thick");
        only(row("{'kind':'set-outline','panels':['p2'],'outline':{'kind':'ring','inner':0.95}}"), "Slivers", Weight.WARNING, "mm thick");
        Sheet thin = row("{'kind':'add-letters','panel':'p2','spelling':{'text':'Reeds','face':{'family':'Playfair Display',"
                + "'weight':400},'leading':1,'tracking':0}}",
                "{'kind':'set-letters','panels':['p2'],'size':'2 mm'}");
        assertThat(kind(thin, "Thin letters").orElseThrow().faults().get(0).says()).contains("thinner than 0.09 mm");
        mended(row("{'kind':'move-panels','panels':['p2'],'dx':-10.2,'dy':0}"), "Overlaps by a hair", Weight.WARNING,
                "Panel 2 lies over Panel 1 by 0.20 mm");
        only(row("{'kind':'traits','panels':['p2'],'hidden':true}"), "Never seen", Weight.NOTE, "hidden");
        only(row("{'kind':'seat-panels','panels':['p1'],'left':75,'top':30,'width':20,'height':20}"), "Never seen", Weight.WARNING,
                "Panel 1 is wholly covered by Panel 2");
        assertThat(kind(row("{'kind':'traits','panels':['p3'],'hidden':true}", "{'kind':'empty','panels':['p3']}"), "Empty panels"))
                .as("hidden").isEmpty();
    }

    @Test
    void linesAndSlices() {
        mended(row("{'kind':'set-finish','panels':['p2'],'width':'0.1 pt'}"), "Thin lines", Weight.WARNING,
                "Panel 2: its rim is 0.04 mm wide, under 0.09 mm");
        mended(row("{'kind':'add-rule','x1':65.4,'y1':20,'x2':65.4,'y2':80}"), "Rules off their seam", Weight.WARNING,
                "0.40 mm off the middle of its gap");
        assertThat(kind(row("{'kind':'rules-along'}"), "Rules off their seam")).isEmpty();
        Sheet vista = row("{'kind':'make-vista','panels':['p1','p2'],'picture':'" + DAWN.id() + "'}");
        mended(after(vista, "{'kind':'move-picture','panels':['p2'],'dx':0.2,'dy':0.1}"), "Out of register", Weight.WARNING,
                "0.20 mm out of register");
        assertThat(kind(after(vista, "{'kind':'move-picture','panels':['p2'],'dx':2,'dy':0}"), "Out of register")).as("meant").isEmpty();
    }

    @Test
    void wordsThatCannotBeRead() {
        Sheet caption = row("{'kind':'add-caption','text':'High water'}");
        Report faint = Report.of(caption, new Told(Map.of("p5", new Legibility(3.26, Optional.of(0.7), Colour.WHITE)), Map.of(),
                Set.of()));
        Fault fault = faint.kinds().get(0).faults().get(0);
        assertThat(fault.says()).isEqualTo("Caption 5: a contrast of 3.2 : 1 at its worst spot, under 4.5.");
        assertThat(fault.mend().orElseThrow().on(caption).holder("p5").content().get(0).look().opacity()).isEqualTo(0.7);
        Sheet bright = row("{'kind':'set-tone','of':{'panels':['p1']},'exposure':2}");
        Treated lit = Treated.anywhere(bright.pictureOf(bright.holder("p1").pictures().get(0)), bright.holder("p1").pictures().get(0)
                .treatment());
        Told lost = new Told(Map.of(), Map.of(lit, new Told.Lost(0.01, 0.31)), Set.of());
        assertThat(Report.of(bright, lost).kinds().get(0).faults().get(0).says())
                .isEqualTo("Panel 1: its tone cuts off 31 % of the picture in white, over 2 %.");
        assertThat(Report.of(after(bright, "{'kind':'set-limits','limits':{'safety':3,'focal':0.05,'aligned':0.5,'sliver':2,'rim':0.1,"
                + "'contrast':4.5,'clipped':'0'}}"), lost).kinds()).isEmpty();
        mended(row("{'kind':'add-caption','text':'High water at the mill'}", "{'kind':'set-words','panels':['p5'],'layer':1,'size':30}"),
                "Words beyond their box", Weight.FAULT, "of its words are cut off");
        only(row("{'kind':'add-caption','text':'High water at {time}'}"), "Unfilled fields", Weight.WARNING, "still says {time}");
        assertThat(Report.found(row("{'kind':'add-caption','text':'High water at {time}'}"), Told.NOTHING).warning())
                .isEqualTo("1 fault would be in the file: unfilled fields.");
        only(row("{'kind':'add-caption','text':'Tide \uD83C\uDF0A'}"), "Missing signs", Weight.FAULT, "Hanken Grotesk has no \uD83C\uDF0A");
    }

    /**
     * A vista's focal point has to be seen in one of its panels; where it is not, its mend moves the whole vista and leaves the register.
     */
    @Test
    void aVistaShowsItsFocalPointOnce() {
        Sheet vista = row("{'kind':'make-vista','panels':['p1','p2','p3','p4'],'picture':'" + DAWN.id() + "'}",
                "{'kind':'set-focal','picture':'" + DAWN.id() + "','x':0.12,'y':0.5}");
        assertThat(kind(vista, "Focal points at the edge")).isEmpty();
        Sheet between = after(vista, "{'kind':'set-focal','picture':'" + DAWN.id() + "','x':0.5,'y':0.5}",
                "{'kind':'zoom-picture','panels':['p1'],'zoom':150,'whole':true}");
        Fault fault = only(between, "Focal points at the edge", Weight.FAULT, "of its vista is 5.00 mm outside");
        assertThat(fault.panels()).containsExactly("p1", "p2", "p3", "p4");
        Edit mend = new PlaceFocal(List.of("p2"), FocalPlace.CENTRE, true, 0, false);
        assertThat(mend.on(between).panels()).as("no slice is nudged").allMatch(p -> p.sliced().orElseThrow().nudge().equals(Nudge.NONE));
        fault.mend().ifPresent(edit -> assertThat(edit.on(between).panels())
                .allMatch(p -> p.sliced().orElseThrow().nudge().equals(Nudge.NONE)));
    }

    /** A mend that would only bring another fault is not offered: brought to its neighbour's line, this panel would lie over a third. */
    @Test
    void aMendThatMakesAnotherFaultIsNotOffered() {
        Sheet tight = after(row("{'kind':'move-panels','panels':['p3'],'dx':0,'dy':0.3}"),
                "{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0},"
                        + "'x':137.5,'y':10.1,'width':30,'height':20}", "{'kind':'fill','panels':['p5'],'picture':'" + DAWN.id() + "'}");
        assertThat(kind(tight, "Nearly aligned").orElseThrow().faults()).anySatisfy(fault -> {
            assertThat(fault.panels()).containsExactly("p3");
            assertThat(fault.mend()).isEmpty();
        });
    }

    /** Limits are the sheet's own; all mends of a kind are one step, which can be stored and read like any edit. */
    @Test
    void limitsAndMendingAll() {
        Sheet off = row("{'kind':'move-panels','panels':['p3'],'dx':0,'dy':0.3}", "{'kind':'move-panels','panels':['p4'],'dx':0,'dy':0.4}");
        assertThat(kind(after(off, "{'kind':'set-limits','limits':{'safety':3,'focal':0.05,'aligned':'0.05 mm','sliver':2,'rim':0.1,"
                + "'contrast':4.5}}"), "Nearly aligned")).isEmpty();
        Report.Kind kind = kind(off, "Nearly aligned").orElseThrow();
        assertThat(kind.faults()).hasSize(2);
        String json = SheetJson.MAPPER.writeValueAsString(kind.mendAll().orElseThrow());
        Sheet all = EditReader.read(json, off).on(off);
        assertThat(kind(all, "Nearly aligned")).isEmpty();
        assertThat(EditReader.read(json, off).title(off)).isEqualTo("Mend: nearly aligned");
        assertThat(Report.of(off, Told.NOTHING).count(Weight.WARNING)).isEqualTo(2);
    }

    /**
     * Whatever the sheet: it can be checked, each fault is within reach and says a sentence, and a mend either refuses in words or takes
     * its own fault away.
     */
    @Tried(120)
    void anySheetCanBeChecked(Chance chance) {
        Sheet sheet = Sheets.any(chance);
        for (Report.Kind kind : Report.of(sheet, Told.NOTHING).kinds()) {
            for (Fault fault : kind.faults()) {
                assertThat(fault.says()).endsWith(".").doesNotContain("NaN");
                if (fault.mend().isEmpty()) continue;
                Sheet mended;
                try {
                    mended = fault.mend().get().on(sheet);
                } catch (BadInput refusal) {
                    continue;
                }
                // A focal point comes as near as staying covered allows, which may not be near enough.
                int least = kind.title().startsWith("Focal") ? 0 : 1;
                assertThat(said(mended, fault)).as("%s: %s", kind.title(), fault.says()).isLessThanOrEqualTo(said(sheet, fault) - least);
                assertThat(grave(mended, fault.weight())).as("mending %s", fault.says())
                        .isLessThanOrEqualTo(grave(sheet, fault.weight()) - least);
            }
        }
    }

    /**
     * Of several edits those that cannot be made any more are left out; where none can, the reason is said; what needs more than the sheet
     * is not taken.
     */
    @Test
    void severalEditsAreOneStep() {
        Sheet locked = row("{'kind':'traits','panels':['p2'],'locked':true}");
        String moves = "{'kind':'several','name':'Mend: nearly aligned','edits':[{'kind':'move-panels','panels':['p2'],'dx':1,'dy':0},"
                + "{'kind':'move-panels','panels':['p3'],'dx':1,'dy':0}]}";
        Sheet moved = after(locked, moves);
        assertThat(moved.holder("p2")).isEqualTo(locked.holder("p2"));
        assertThat(moved.holder("p3").seat().centre().x()).isEqualTo(locked.holder("p3").seat().centre().x() + 1);
        Sheet all = after(locked, "{'kind':'traits','panels':['p3'],'locked':true}");
        assertThatThrownBy(() -> after(all, moves)).isInstanceOf(BadInput.class).hasMessageContaining("locked");
        assertThatThrownBy(() -> after(locked, "{'kind':'several','name':'x','edits':[]}")).isInstanceOf(BadInput.class);
        assertThatThrownBy(() -> after(locked,
                "{'kind':'several','name':'x','edits':[{'kind':'several','name':'y','edits':[{'kind':'add-caption'}]}]}"))
                .isInstanceOf(BadInput.class).hasMessageContaining("together");
    }

    /** How often just that is said: two panels may be called alike. */
    private static long said(Sheet sheet, Fault fault) {
        return Report.found(sheet, Told.NOTHING).kinds().stream().flatMap(k -> k.faults().stream())
                .filter(f -> f.says().equals(fault.says())).count();
    }
}
