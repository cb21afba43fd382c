package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.editing.reading.EditReader;
import plainlantern.rendering.SvgPainter;
import plainlantern.scene.Scene;
import plainlantern.sheet.Element;
import plainlantern.sheet.Layout;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** A designer's morning: many edits of all kinds, one after the other, on any sheet. */
class ManyEditsTest {
    private static final List<String> EDITS = List.of(
            "{'kind':'lay-out','where':'add','pattern':{'kind':'polyptych','weights':'1:2:1','gap':0.1,'lean':2,'mirrored':true},"
                    + "'area':{'x':1,'y':1,'width':60,'height':40}}",
            "{'kind':'lay-out','where':'add','pattern':{'kind':'interlock','rows':2,'columns':2,'tab':0.2,'seed':3},'area':{'x':1,'y':1,"
                    + "'width':60,'height':40}}",
            "{'kind':'lay-out','where':'add','pattern':{'kind':'shards','count':5,'gap':0.1,'evenness':1,'seed':3},'area':{'x':1,'y':1,"
                    + "'width':60,'height':40}}",
            "{'kind':'lay-out','where':'inside','panels':['p1'],'pattern':{'kind':'honeycomb','rows':2,'columns':2,'gap':0}}",
            "{'kind':'lay-out','where':'again','panels':['p7'],'agreed':true,'pattern':{'kind':'running-bond','rows':2,'columns':2,"
                    + "'gapAcross':0.1,'gapDown':0.1,'offset':0.5}}",
            "{'kind':'lay-out','where':'replace','agreed':true,'pattern':{'kind':'rosette','count':5,'gap':0,'middle':true,"
                    + "'wedges':true,'hole':0.4}}",
            "{'kind':'cut','x1':-100,'y1':-80,'x2':500,'y2':420,'gap':0.3}", "{'kind':'cut','x1':-100,'y1':60,'x2':500,'y2':10,'gap':0}",
            "{'kind':'fill','panels':['p1','p2'],'picture':'" + Sheets.DAWN.id() + "'}", "{'kind':'fill','panels':['p7','p8'],'picture':'"
                    + Sheets.TALL.id() + "'}",
            "{'kind':'make-vista','panels':['p7','p8','p1'],'picture':'" + Sheets.DAWN.id() + "'}",
                    "{'kind':'make-vista','panels':['p1','p2'],'picture':'" + Sheets.TALL.id() + "'}",
            "{'kind':'move-picture','panels':['p7'],'dx':0.4,'dy':-0.3,'whole':true}", "{'kind':'zoom-picture','panels':['p1'],'zoom':130}",
                    "{'kind':'carry','panels':['p7','p1'],'carried':true}",
            "{'kind':'loosen','panels':['p1','p2','p7'],'offset':1,'zoom':0.1,'turn':5,'seed':4}",
                    "{'kind':'leave-vista','panels':['p7','p2']}", "{'kind':'turn-picture','panels':['p1'],'turn':12,'whole':true}",
            "{'kind':'move-corner','panel':'p7','corner':1,'dx':0.3,'dy':0.2}", "{'kind':'turn-panels','panels':['p7','p8'],'by':33}",
                    "{'kind':'mirror-panels','panels':['p7'],'axis':'across'}",
            "{'kind':'set-outline','panels':['p8'],'outline':{'kind':'ring','inner':0.4}}",
                    "{'kind':'pull-outline','panel':'p8','grip':'inner','x':1,'y':1}",
            "{'kind':'resize-panels','panels':['p7','p8'],'width':40,'height':30,'anchorX':-1,'anchorY':1}",
                    "{'kind':'set-up-sheet','width':'120 mm','height':'90 mm','panels':'scale'}",
            "{'kind':'set-up-sheet','width':'200 mm','height':'160 mm','panels':'again'}",
                    "{'kind':'group','panels':['p7','p8'],'together':true}", "{'kind':'duplicate','panels':['p7'],'dx':1,'dy':1}",
            "{'kind':'space','panels':['p7','p8'],'how':'pack','gap':1}", "{'kind':'remove','panels':['p8']}",
                    "{'kind':'traits','panels':['p7'],'locked':true}", "{'kind':'traits','panels':['p7'],'locked':false}");

    /**
     * After each step the sheet can be stored and painted, no id comes twice or back from the dead, layouts name only what is or was on
     * the sheet, and the sheets before are still what they were: undo is exact.
     */
    @Tried(150)
    void everyStepLeavesASoundSheet(Chance chance) {
        Sheet start = Sheets.any(chance);
        List<String> morning = chance.list(6, 16, c -> c.of(EDITS));
        List<Sheet> history = new ArrayList<>(List.of(start));
        List<String> written = new ArrayList<>(List.of(SheetJson.write(start)));
        Set<String> ever = new TreeSet<>(start.elements().stream().map(Element::id).toList());
        Sheet now = start;
        for (String json : morning) {
            try {
                Sheet next = EditReader.read(json.replace('\'', '"'), now).on(now);
                Set<String> there = new TreeSet<>(now.elements().stream().map(Element::id).toList());
                for (Element element : next.elements()) if (!there.contains(element.id())) assertThat(ever.add(element.id())).isTrue();
                now = next;
            } catch (BadInput refused) {
                assertThat(refused.getMessage()).endsWith(".");
                continue;
            }
            assertThat(SheetJson.read(SheetJson.write(now))).isEqualTo(now);
            assertThat(SvgPainter.document(Scene.of(now), id -> "x")).doesNotContain("NaN", "Infinity");
            for (Layout layout : now.layouts()) assertThat(layout.panels()).allMatch(id -> id.isEmpty() || ever.contains(id));
            history.add(now);
            written.add(SheetJson.write(now));
        }
        for (int i = 0; i < history.size(); i++) assertThat(SheetJson.write(history.get(i))).isEqualTo(written.get(i));
    }
}
