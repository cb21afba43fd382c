package plainlantern.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

class PlanTest {
    private static final Sheet TEMPLATE = Filling.template(Sheets.after(Sheet.empty("Press card", Unit.MM, 200, 100, 300)
            .withShelf(List.of(Sheets.DAWN, Sheets.TALL)),
            "{'kind':'lay-out','where':'replace','pattern':{'kind':'even-grid','rows':1,'columns':2,'gapAcross':10,'gapDown':0,"
            + "'columnWeights':'3:1','rowWeights':'','merged':[]},'margins':{'top':5,'right':5,'bottom':25,'left':5}}",
            "{'kind':'fill','panels':['p1'],'picture':'" + Sheets.DAWN.id() + "'}",
            "{'kind':'fill','panels':['p2'],'picture':'" + Sheets.TALL.id() + "'}", "{'kind':'rename','panel':'p1','name':'Wide'}",
            "{'kind':'add-caption','text':'{Title}, {where}'}"), Set.of());

    private static List<Picture> pictures(int count) {
        return IntStream.range(0, count).mapToObj(i -> new Picture(String.format("%064x", i + 1), "shot-" + (i + 1),
                i % 2 == 0 ? 2000 : 6000, i % 2 == 0 ? 3000 : 2000)).toList();
    }

    private static Optional<Table> table(String text) {
        return Optional.of(Table.read(text.getBytes(StandardCharsets.UTF_8)));
    }

    private static Map<String, Picture> known(List<Picture> pictures) {
        Map<String, Picture> known = new HashMap<>();
        for (Picture picture : pictures) known.put(picture.id(), picture);
        return known;
    }

    /** Without a table: every picture once, so many a sheet as there are places, wide ones to the wide place. */
    @Test
    void everyPictureOnceAndWhereLeastIsCutAway() {
        List<Picture> pictures = pictures(7);
        Plan plan = Plan.of(TEMPLATE, pictures, Optional.empty(), Plan.Order.BEST, "");
        assertThat(plan.sheets().stream().map(Filling::name)).containsExactly("Press card 1", "Press card 2", "Press card 3",
                "Press card 4");
        assertThat(plan.sheets().stream().flatMap(f -> f.pictures().values().stream())).doesNotHaveDuplicates().hasSize(7);
        assertThat(plan.sheets().subList(0, 3)).allSatisfy(f -> assertThat(known(pictures).get(f.pictures().get("p1")).width())
                .isEqualTo(6000));
        assertThat(plan.remarks()).containsExactly("The captions keep {title}, {where}: a table says what stands there.",
                "1 place of the last sheet got no picture.");
        Plan inTurn = Plan.of(TEMPLATE, pictures, Optional.empty(), Plan.Order.IN_TURN, "");
        assertThat(inTurn.sheets().get(0).pictures().get("p1")).isEqualTo(pictures.get(0).id());
    }

    /** A line a sheet: it names one place's picture, fills the captions and the names; the rest comes in order. */
    @Test
    void aTableFillsCaptionsNamesPicturesAndTheRestComesInOrder() {
        List<Picture> pictures = pictures(5);
        Plan plan = Plan.of(TEMPLATE, pictures,
                table("title;WHERE;Wide;colour\nEbb;Bay;SHOT-4.JPG;red\nFlood;\"Mill; wheel\";shot-2;blue\n"),
                Plan.Order.BEST, "{title} card");
        assertThat(plan.sheets()).extracting(Filling::name).containsExactly("Ebb card", "Flood card");
        assertThat(plan.sheets()).extracting(Filling::pictures).containsExactly(
                Map.of("p1", pictures.get(3).id(), "p2", pictures.get(0).id()), Map.of("p1", pictures.get(1).id(), "p2",
                pictures.get(2).id()));
        assertThat(plan.sheets().get(1).names()).containsValues("shot-2", "shot-3");
        assertThat(plan.remarks()).containsExactly("The column “colour” is not used.", "1 picture was left over.");
        Sheet second = plan.sheets().get(1).on(TEMPLATE, known(pictures));
        assertThat(second.name()).isEqualTo("Flood card");
        assertThat(second.element("p3").holder().orElseThrow().content().get(1).words().orElseThrow().text())
                .isEqualTo("Flood, Mill; wheel");
        assertThat(second.shelf()).containsExactlyInAnyOrder(pictures.get(1), pictures.get(2));
    }

    /** What is missing is told with its line, all at once. */
    @Test
    void whatIsMissingIsToldWithItsLine() {
        assertThatThrownBy(() -> Plan.of(TEMPLATE, pictures(3), table("title,Wide\nEbb,shot-9\nFlood,shot-1\nSlack,shot 2\n"),
                Plan.Order.BEST, "")).isInstanceOf(BadInput.class).hasMessage("Line 1: a caption asks for {where}, but no column is called "
                        + "that.\nLine 2: no picture is called “shot-9”.\nLine 4: no picture is called “shot 2”.");
        List<Picture> twins = new ArrayList<>(pictures(1));
        twins.add(new Picture("9".repeat(64), "Shot-1", 10, 10));
        assertThatThrownBy(() -> Plan.of(TEMPLATE, twins, table("title,where,Wide\na,b,shot-1\n"), Plan.Order.BEST, ""))
                .hasMessage("Line 2: 2 pictures are called “shot-1”.");
        assertThatThrownBy(() -> Plan.of(TEMPLATE, pictures(1), table("title,where\na,b\n"), Plan.Order.BEST, "{place}"))
                .hasMessageContaining("No column").extracting("field").isEqualTo("naming");
        assertThatThrownBy(() -> Plan.of(TEMPLATE, pictures(1), Optional.empty(), Plan.Order.BEST, "{title}"))
                .extracting("field").isEqualTo("naming");
        assertThatThrownBy(() -> Plan.of(TEMPLATE, pictures(1001), Optional.empty(), Plan.Order.BEST, ""))
                .hasMessage("That would be 501 sheets. A series has at most 500.");
    }

    /** Of any sheet: a template keeps all forms, finishes and words, and shows no picture but stand-ins and those that stay. */
    @Tried(60)
    void aTemplateKeepsAllButItsPictures(Chance chance) {
        Sheet sheet = Sheets.any(chance);
        Sheet template = Filling.template(sheet, Set.of(Sheets.TALL.id()));
        assertThat(template.elements().stream().map(e -> e.basics())).isEqualTo(sheet.elements().stream().map(e -> e.basics()).toList());
        assertThat(template.elements().stream().map(e -> e.pathOnSheet().toString()))
                .isEqualTo(sheet.elements().stream().map(e -> e.pathOnSheet().toString()).toList());
        Set<Place> places = Set.copyOf(Place.of(template));
        for (Place place : Place.every(sheet)) {
            String was = place.picture(sheet).orElse("");
            String is = Place.every(template).stream().filter(p -> p.key().equals(place.key())).findFirst().orElseThrow().picture(template)
                    .orElse("");
            assertThat(plainlantern.sheet.StandIn.is(is)).isEqualTo(was.equals(Sheets.DAWN.id()));
        }
        assertThat(places).allSatisfy(p -> assertThat(p.picture(template).orElse("")).isNotEqualTo(Sheets.DAWN.id()));
    }

    /** Of any template: each place gets its picture, treated and looking as what was there. */
    @Tried(60)
    void everyPlaceIsFilledAsItWas(Chance chance) {
        Sheet template = Filling.template(Sheets.any(chance), Set.of());
        List<Place> places = Place.of(template);
        Map<String, String> wanted = new HashMap<>();
        List<Picture> pictures = pictures(places.size());
        for (int i = 0; i < places.size(); i++) wanted.put(places.get(i).key(), pictures.get(i).id());
        Sheet made = new Filling("Made", wanted, Map.of(), Map.of()).on(template, known(pictures));
        for (Place was : places) {
            Place is = Place.every(made).stream().filter(p -> p.key().equals(was.key())).findFirst().orElseThrow();
            assertThat(is.picture(made)).hasValue(wanted.get(was.key()));
            if (was instanceof Place.InElement a && is instanceof Place.InElement b && a.layer() >= 0) {
                var before = a.element().content().get(a.layer()).picture().orElseThrow();
                var after = b.element().content().get(b.layer()).picture().orElseThrow();
                assertThat(after.look()).isEqualTo(before.look());
                assertThat(after.through()).isEqualTo(before.through());
                assertThat(after.veil()).isEqualTo(before.veil());
                assertThat(after.treatment().tone()).isEqualTo(before.treatment().tone());
            }
        }
        assertThat(made.shelf()).allSatisfy(p -> assertThat(plainlantern.sheet.StandIn.is(p.id())).isFalse());
    }
}
