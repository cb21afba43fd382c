package plainlantern.series;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.Typed;
import plainlantern.asking.Unit;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

class FollowingTest {
    private static final Picture EBB = new Picture("1".repeat(64), "Ebb", 4000, 3000);
    private static final Picture FLOOD = new Picture("2".repeat(64), "Flood", 3000, 4000);
    private static final Map<String, Picture> KNOWN = Map.of(EBB.id(), EBB, FLOOD.id(), FLOOD, Sheets.DAWN.id(), Sheets.DAWN);
    private static final Filling FILLING = new Filling("Card 1", Map.of("p1", EBB.id(), "p2", FLOOD.id(), "p3", EBB.id()),
            Map.of("title", "Low water"), Map.of());
    private static final Sheet TEMPLATE = Filling.template(Sheets.after(Sheet.empty("Card", Unit.MM, 300, 120, 300)
            .withShelf(List.of(Sheets.DAWN)),
            "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':3,'gapAcross':5,'gapDown':0},"
            + "'margins':{'top':5,'right':5,'bottom':35,'left':5}}",
            "{'kind':'fill','panels':['p1','p2','p3'],'picture':'" + Sheets.DAWN.id() + "'}", "{'kind':'add-caption','text':'{title}'}"),
            Set.of());
    /** Edits of parts that have nothing to do with each other. */
    private static final List<String> APART = List.of("{'kind':'set-finish','panels':['p1'],'width':'2 mm','colour':'#FAF8F4'}",
            "{'kind':'set-shadow','panels':['p1'],'distance':2,'blur':3,'opacity':'40 %'}",
            "{'kind':'move-panels','panels':['p2'],'dx':4,'dy':9}", "{'kind':'rename','panel':'p2','name':'Middle'}",
            "{'kind':'set-outline','panels':['p3'],'outline':{'kind':'ellipse'}}", "{'kind':'set-paper','paper':{'kind':'plain','colour':"
            + "'#22303A'}}", "{'kind':'seat-panels','panels':['p4'],'left':200,'top':100}",
            "{'kind':'set-words','panels':['p4'],'layer':1,'typeface':'Oswald'}", "{'kind':'set-words','panels':['p4'],'layer':1,'colour':"
            + "'#884422'}", "{'kind':'set-plate','panels':['p4'],'opacity':'35 %'}", "{'kind':'traits','panels':['p3'],'locked':true}",
            "{'kind':'set-tone','of':{'panels':['p2']},'exposure':0.4}", "{'kind':'set-look','panels':['p1'],'layer':0,'opacity':'60 %'}",
            "{'kind':'set-up-sheet','ppi':'150'}", "{'kind':'set-limits','limits':{'safety':'7 mm','focal':'10 %','aligned':0.3,'sliver':1,"
            + "'rim':'0.3 pt','contrast':'7'}}", "{'kind':'remove','panels':['p3']}");

    private static Sheet made(Sheet template) {
        return FILLING.on(template, KNOWN);
    }

    /** Some done on the template, others by hand: the sheet is as if all had been done on it. */
    @Tried(80)
    void whatIsDoneApartComesTogether(Chance chance) {
        List<String> template = new ArrayList<>();
        List<String> hand = new ArrayList<>();
        for (String edit : APART.subList(0, APART.size() - 1)) (chance.flag() ? template : hand).add(edit);
        Sheet after = Sheets.after(TEMPLATE, template.toArray(String[]::new));
        Sheet mine = Sheets.after(made(TEMPLATE), hand.toArray(String[]::new));
        Sheet all = Sheets.after(mine, template.toArray(String[]::new));
        Sheet followed = Following.followed(made(TEMPLATE), made(after), mine);
        assertThat(followed.elements()).isEqualTo(all.elements());
        assertThat(followed.paper()).isEqualTo(all.paper());
        assertThat(followed.format()).isEqualTo(all.format());
        assertThat(followed.limits()).isEqualTo(all.limits());
    }

    @Test
    void whatWasPutRightByHandStays() {
        Sheet mine = Sheets.after(made(TEMPLATE), "{'kind':'zoom-picture','panels':['p1'],'zoom':'140 %'}",
                "{'kind':'set-words','panels':['p4'],'layer':1,'text':'Lowest water'}",
                        "{'kind':'set-finish','panels':['p2'],'width':'3 mm'}",
                "{'kind':'remove','panels':['p3']}");
        Sheet template = Sheets.after(TEMPLATE, "{'kind':'set-finish','panels':['p1','p2','p3'],'width':'1 mm','colour':'#FAF8F4'}",
                "{'kind':'set-words','panels':['p4'],'layer':1,'text':'{title}, today'}");
        Sheet after = Following.followed(made(TEMPLATE), made(template), mine);
        assertThat(after.holder("p1").picture(Typed.FRONTMOST)).isEqualTo(mine.holder("p1").picture(Typed.FRONTMOST));
        assertThat(after.element("p1").finish().rim().orElseThrow().width()).isEqualTo(1);
        assertThat(after.element("p2").finish().rim().orElseThrow().width()).isEqualTo(3);
        assertThat(after.holder("p4").content().get(1).words().orElseThrow().text()).isEqualTo("Lowest water");
        assertThat(after.find("p3")).isEmpty();
        // And what nobody touched says what the template asks for now.
        assertThat(Following.followed(made(TEMPLATE), made(template), made(TEMPLATE)).holder("p4").content().get(1).words().orElseThrow()
                .text()).isEqualTo("Low water, today");
    }

    /** A picture placed by hand is covered again where its panel became larger. */
    @Test
    void aPictureThatWasMovedStillCovers() {
        Sheet mine = Sheets.after(made(TEMPLATE), "{'kind':'move-picture','panels':['p2'],'dx':0,'dy':-9}");
        Sheet template = Sheets.after(TEMPLATE, "{'kind':'seat-panels','panels':['p2'],'height':110}");
        Sheet after = Following.followed(made(TEMPLATE), made(template), mine);
        var panel = after.holder("p2");
        assertThat(panel.seat().height()).isEqualTo(110);
        var shown = Vistas.shown(after, panel, 0).orElseThrow();
        assertThat(Coverage.of(Sitting.of(panel, shown), shown.pose()).bareShare()).isZero();
    }

    /** The same id given on both sides to different things: both are there, each in its place in the stack. */
    @Test
    void newElementsOfBothSidesAreThere() {
        String panel = "{'kind':'add-panel','outline':{'kind':'ellipse'}}";
        Sheet mine = Sheets.after(made(TEMPLATE), "{'kind':'add-caption','text':'By hand'}",
                "{'kind':'raise','panels':['p5'],'to':'bottom'}");
        Sheet template = Sheets.after(TEMPLATE, panel, "{'kind':'rename','panel':'p5','name':'New'}");
        Sheet after = Following.followed(made(TEMPLATE), made(template), mine);
        assertThat(after.elements().stream().map(e -> e.name() + " " + e.kind())).containsExactly(
                mine.element("p5").name() + " caption", "Panel 1 panel", "Panel 2 panel", "Panel 3 panel",
                mine.element("p4").name() + " caption", "New panel");
        assertThat(Sheets.after(after, panel).elements().stream().map(e -> e.id())).doesNotHaveDuplicates();
        Sheet gone = Sheets.after(TEMPLATE, APART.get(APART.size() - 1));
        assertThat(Following.followed(made(TEMPLATE), made(gone), made(TEMPLATE)).find("p3")).isEmpty();
        Sheet touched = Sheets.after(made(TEMPLATE), APART.get(4));
        assertThat(Following.followed(made(TEMPLATE), made(gone), touched).find("p3")).isPresent();
    }

    /** Edits that some sheets refuse. */
    private static final List<String> ANY = List.of("{'kind':'move-panels','panels':['p1','p3'],'dx':3,'dy':-2}",
            "{'kind':'set-finish','panels':['p1','p2','p4'],'width':'1 mm','colour':'#446688@s1'}", "{'kind':'remove','panels':['p2']}",
            "{'kind':'set-outline','panels':['p1'],'outline':{'kind':'heart'}}", "{'kind':'duplicate','panels':['p1','p4'],'dx':5,'dy':5}",
            "{'kind':'raise','panels':['p1'],'to':'front'}", "{'kind':'raise','panels':['p4'],'to':'bottom'}", "{'kind':'group','panels':"
            + "['p1','p2'],'together':true}", "{'kind':'leave-vista','panels':['p1','p2']}", "{'kind':'back-vista','vista':'v90'}",
            "{'kind':'mirror-picture','panels':['p1','p2','p3']}", "{'kind':'set-tone','of':{'panels':['p1','p2','p6']},'exposure':0.3}",
            "{'kind':'add-layer','panels':['p1','p2'],'what':'words'}", "{'kind':'empty','panels':['p2']}", "{'kind':'forget-finish',"
            + "'finish':'f1'}", "{'kind':'remove-swatch','swatch':'s1'}", "{'kind':'add-caption','text':'Ebb'}",
                    "{'kind':'add-panel','outline':"
            + "{'kind':'ellipse'}}", "{'kind':'set-up-sheet','width':'30 cm','panels':'scale'}",
                    "{'kind':'cut','x1':-500,'y1':-300,'x2':2000,"
            + "'y2':1800,'gap':'2 mm'}", "{'kind':'turn-panels','panels':['p1','p3'],'by':'15°'}", "{'kind':'set-guides','columns':'7'}");

    private static int refused;
    private static int sound;

    /** Nothing would be known if most were refused. */
    @AfterAll
    static void mostWereSound() {
        assertThat(sound).isGreaterThanOrEqualTo(5 * refused);
    }

    private static Sheet some(Chance chance, Sheet from) {
        Sheet now = from;
        for (String edit : chance.list(0, 4, c -> c.of(ANY))) {
            try {
                now = Sheets.after(now, edit);
            } catch (plainlantern.asking.BadInput refused) {
                // Others are tried.
            }
        }
        return now;
    }

    /**
     * Any template, changed in any way, a sheet of it changed in any way by hand: what comes out can be stored, follows no further, keeps
     * every element that only the hand made and has every one that only the template made; or it is refused in words.
     */
    @Tried(120)
    void whateverWasDoneTheSheetIsSound(Chance chance) {
        Sheet before = Filling.template(Sheets.any(chance), Set.of());
        Sheet after = some(chance, before);
        Sheet mine = some(chance, made(before));
        Sheet followed;
        try {
            followed = Following.followed(made(before), made(after), mine);
        } catch (plainlantern.asking.BadInput | tools.jackson.core.JacksonException apart) {
            assertThat(apart.getMessage()).isNotBlank();
            refused++;
            return;
        }
        sound++;
        assertThat(SheetJson.read(SheetJson.write(followed))).isEqualTo(followed);
        assertThat(Following.followed(made(after), made(after), followed)).isEqualTo(followed);
        assertThat(followed.lastId()).isGreaterThanOrEqualTo(mine.lastId());
        Set<String> there = new java.util.HashSet<>(followed.elements().stream().map(e -> e.id()).toList());
        for (var element : mine.elements()) if (before.find(element.id()).isEmpty()) assertThat(there).contains(element.id());
        long fresh = after.elements().stream().filter(e -> before.find(e.id()).isEmpty()).count();
        long own = mine.elements().stream().filter(e -> before.find(e.id()).isEmpty()).count();
        assertThat(followed.elements().stream().filter(e -> before.find(e.id()).isEmpty()).count()).isEqualTo(fresh + own);
    }
}
