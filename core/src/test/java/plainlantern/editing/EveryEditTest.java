package plainlantern.editing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import plainlantern.Chance;
import plainlantern.Sheets;
import plainlantern.Tried;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.FreshenPicture;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.placing.BringDrawing;
import plainlantern.editing.reading.EditReader;
import plainlantern.editing.sheet.FollowTemplate;
import plainlantern.editing.sheet.ReturnTo;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Point;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** What must hold for each kind of edit, whatever the sheet: a new kind joins by a line in {@link #SAMPLES}. */
class EveryEditTest {
    private static final Map<String, String> SAMPLES = new LinkedHashMap<>();

    static {
        SAMPLES.put("add-layer", "'panels':['p1','p2'],'what':'words'");
        SAMPLES.put("add-panel", "'outline':{'kind':'star','points':'5','inner':'40 %','rounding':'1mm'}");
        SAMPLES.put("add-letters", "'spelling':{'text':'Ebb & flow','side':'middle','leading':'110 %','tracking':'20',"
                + "'face':{'family':'Oswald','weight':'700'}},'panel':''");
        SAMPLES.put("set-letters", "'panels':['p1','p2','p3'],'text':'Low','family':'Zilla Slab','size':'20 mm'");
        SAMPLES.put("part-letters", "'panel':'p1','through':false");
        SAMPLES.put("combine", "'panels':['p1','p2'],'how':'together','key':'p2'");
        SAMPLES.put("make-regions", "'panels':['p1','p2'],'groups':[[0]]");
        SAMPLES.put("shape-corners", "'panels':['p1','p2'],'size':'0.5 mm','bevel':true");
        SAMPLES.put("grow", "'panels':['p1'],'by':'2 mm','round':true");
        SAMPLES.put("repeat-around", "'panels':['p1'],'x':'10 mm','y':20,'count':'5'");
        SAMPLES.put("add-drawn", "'d':'M20 20L60 20C70 30 70 50 40 60Z'");
        SAMPLES.put("move-point", "'panel':'p1','point':1,'part':'point','dx':3,'dy':-2");
        SAMPLES.put("add-point", "'panel':'p1','x':12,'y':9");
        SAMPLES.put("remove-point", "'panel':'p2','point':0");
        SAMPLES.put("set-point", "'panel':'p1','point':0,'across':'12 mm','becomes':'smooth'");
        SAMPLES.put("mount", "'panels':['p1','p2','p3'],'whole':true");
        SAMPLES.put("lay-flat", "'panels':['p1','p2','p3'],'whole':true");
        SAMPLES.put("set-corner", "'panels':['p1','p2','p3'],'whole':true,'corner':1,'across':'110 mm','down':-4");
        SAMPLES.put("set-proportions", "'panels':['p1','p2','p3'],'whole':true,'proportions':'3 : 2'");
        SAMPLES.put("find-edges", "'panels':['p1','p2'],'whole':true,'layer':-1,'found':[{'panel':'p1','corners':[{'x':10,'y':10},{'x':90,"
                + "'y':12},{'x':88,'y':70},{'x':11,'y':77}]}]");
        SAMPLES.put("mount-here", "'picture':'" + Sheets.DAWN.id() + "','corners':[{'x':90,'y':12},{'x':10,'y':10},{'x':88,'y':70},"
                + "{'x':11,'y':77}]");
        SAMPLES.put("align", "'panels':['p1','p2'],'line':'centre','to':'selection'");
        SAMPLES.put("back-vista", "'vista':'v90'");
        SAMPLES.put("set-shadow", "'panels':['p1','p2'],'inside':true,'distance':'2 mm','blur':'3 mm','spread':'-0.2 mm',"
                + "'colour':'rgb(10, 20, 30)','opacity':'40 %'");
        SAMPLES.put("set-ground", "'panels':['p1'],'width':'120 %','softness':'40 %'");
        SAMPLES.put("name-finish", "'panels':['p1','p2'],'name':'Gallery'");
        SAMPLES.put("follow-finish", "'panels':['p1']");
        SAMPLES.put("forget-finish", "'finish':'f1'");
        SAMPLES.put("add-rule", "'x1':10,'y1':12,'x2':80,'y2':12,'width':'1 pt'");
        SAMPLES.put("rules-along", "'covering':true");
        SAMPLES.put("add-glaze", "'where':'under','panels':['p1','p2']");
        SAMPLES.put("make-glaze", "'panels':['p1']");
        SAMPLES.put("set-glaze", "'panels':['p6'],'blur':'2 mm','dx':'-3 mm','dy':4");
        SAMPLES.put("blur", "'panels':['p1','p6'],'layer':0,'blur':'1.5 mm'");
        SAMPLES.put("copy-bend", "'from':'p1','layer':0,'panels':['p2','p6']");
        SAMPLES.put("bend", "'panels':['p1','p6'],'layer':0,'bend':{'kind':'wave','amplitude':'2 mm','length':20,'turn':'45°','phase':0,"
                + "'shape':'square'}");
        SAMPLES.put("move-bend", "'panels':['p1'],'layer':0,'home':true");
        SAMPLES.put("switch-bend", "'panels':['p1','p6'],'layer':0,'off':true");
        SAMPLES.put("switch-tone", "'of':{'panels':['p1','p6'],'layer':0,'whole':false,'paper':true},'off':true");
        SAMPLES.put("veil", "'panels':['p1','p6'],'layer':0,'part':{'kind':'stroke','dots':[[3,4,1],[9,4.5,0.5],[30,4,0.25]],'size':'5 mm',"
                + "'softness':'50 %','strength':1,'shows':false}");
        SAMPLES.put("move-veil", "'panels':['p1'],'layer':0,'at':0,'handles':[0],'dx':'2 mm','dy':3");
        SAMPLES.put("set-veil", "'panels':['p1'],'layer':0,'rests':'panel','off':false,'at':0,'strength':'60 %'");
        SAMPLES.put("unveil", "'panels':['p1'],'layer':0,'at':0");
        SAMPLES.put("copy-veil", "'from':'p1','layer':0,'panels':['p2','p3']");
        SAMPLES.put("add-caption", "'text':'High water 14:20'");
        SAMPLES.put("fit-caption", "'panels':['p4']");
        SAMPLES.put("set-plate", "'panels':['p4'],'opacity':'70 %','radius':'2 mm'");
        SAMPLES.put("add-swatches", "'colours':['#123456','hsl(40, 38%, 97%)']");
        SAMPLES.put("set-swatch", "'swatch':'s1','colour':'#123456'");
        SAMPLES.put("remove-swatch", "'swatch':'s1'");
        SAMPLES.put("clear-background", "'picture':'" + Sheets.DAWN.id() + "','colour':'#00FF00','tolerance':'12 %'");
        SAMPLES.put("set-limits", "'limits':{'safety':'5 mm','focal':'10 %','aligned':0.3,'sliver':1,'rim':'0.3 pt','contrast':'7'}");
        SAMPLES.put("several", "'name':'Mend','edits':[{'kind':'rename','panel':'p1','name':'Left'},{'kind':'cover-again',"
                + "'panels':['p2']}]");
        SAMPLES.put("return-to", "'name':'Before the cut','kept':" + SheetJson.write(Sheet.empty("Kept", Unit.MM, 90, 60, 200)));
        SAMPLES.put("follow-template", "'followed':" + SheetJson.write(Sheet.empty("Followed", Unit.MM, 90, 60, 200)));
        SAMPLES.put("clear-finish", "'panels':['p1']");
        SAMPLES.put("copy-finish", "'from':'p1','to':'all','parts':['rim']");
        SAMPLES.put("copy-content", "'from':'p1','panels':['p2','p3'],'anew':true");
        SAMPLES.put("copy-nudge", "'from':'p1','panels':['p2']");
        SAMPLES.put("frame-picture", "'picture':'" + Sheets.TALL.id() + "','outline':{'kind':'heart'},'x':4");
        SAMPLES.put("move-out", "'panels':['p1','p2']");
        SAMPLES.put("put-in", "'floats':['p3'],'panel':'p2'");
        SAMPLES.put("replace-picture", "'picture':'" + Sheets.DAWN.id() + "','by':'" + Sheets.TALL.id() + "'");
        SAMPLES.put("split-picture", "'picture':'" + Sheets.DAWN.id()
                + "','whole':true,'pattern':{'kind':'even-grid','rows':2,'columns':'3','gapAcross':'0.1 mm','gapDown':0}");
        SAMPLES.put("centre-picture", "'panels':['p1'],'across':'1 mm'");
        SAMPLES.put("cover-again", "'panels':['p1']");
        SAMPLES.put("cut", "'x1':-500,'y1':-300,'x2':2000,'y2':1800,'gap':'2 mm'");
        SAMPLES.put("deal", "'to':'all','use':'evenly'");
        SAMPLES.put("duplicate", "'panels':['p1'],'dx':3,'dy':'-4 mm','copies':'3'");
        SAMPLES.put("empty", "'panels':['p1']");
        SAMPLES.put("fill", "'panels':['p1'],'picture':'" + Sheets.TALL.id() + "'");
        SAMPLES.put("group", "'panels':['p1','p2'],'together':true");
        SAMPLES.put("hold-covered", "'panels':['p1'],'held':true");
        SAMPLES.put("lay-out", "'where':'replace','agreed':true,'pattern':{'kind':'even-grid','rows':2,'columns':'2','gapAcross':'0.1 "
                + "mm','gapDown':0},'margins':{'top':0,'right':0,'bottom':0,'left':0}");
        SAMPLES.put("carry", "'panels':['p1','p2'],'carried':true");
        SAMPLES.put("join-vista", "'panels':['p1'],'vista':'v90'");
        SAMPLES.put("leave-vista", "'panels':['p1','p2']");
        SAMPLES.put("loosen", "'panels':['p1','p2'],'offset':'2 mm','zoom':'10 %','turn':'3','seed':'7'");
        SAMPLES.put("make-vista", "'panels':['p1','p2'],'picture':'" + Sheets.TALL.id() + "'");
        SAMPLES.put("replace-vista", "'vista':'v90','picture':'" + Sheets.TALL.id() + "'");
        SAMPLES.put("mirror-panels", "'panels':['p1','p2'],'axis':'down'");
        SAMPLES.put("mirror-picture", "'panels':['p1']");
        SAMPLES.put("move-corner", "'panel':'p1','corner':1,'dx':0.5,'dy':0.25");
        SAMPLES.put("move-layer", "'panels':['p1','p2'],'layer':1,'to':0");
        SAMPLES.put("move-panels", "'panels':['p1'],'dx':1.5,'dy':0");
        SAMPLES.put("move-picture", "'panels':['p1'],'dx':-20,'dy':3");
        SAMPLES.put("move-seam", "'sides':[{'panel':'p1','side':1},{'panel':'p2','side':3}],'dx':0.2,'dy':0.1");
        SAMPLES.put("paste", "'panels':[{'kind':'panel','basics':{'id':'p7','name':'Reeds','seat':{'centre':{'x':4,'y':5},'width':9,"
                + "'height':8,'turn':0,'mirrored':false}},"
                + "'outline':{'kind':'ellipse'},'content':[]}],'pictures':[],'dx':1,'dy':0");
        SAMPLES.put("place-focal", "'panels':['p1','p2'],'to':'thirds'");
        SAMPLES.put("set-focal", "'picture':'" + Sheets.DAWN.id() + "','x':0.3,'y':0.8");
        SAMPLES.put("pull-outline", "'panel':'p1','grip':'top-left','x':-0.2,'y':-0.2");
        SAMPLES.put("raise", "'panels':['p1','p3'],'to':'forward'");
        SAMPLES.put("remove", "'panels':['p1']");
        SAMPLES.put("rename", "'panel':'p1','name':'Left wing'");
        SAMPLES.put("rename-sheet", "'name':'Evening tide'");
        SAMPLES.put("resize-panels", "'panels':['p1'],'width':33,'height':44,'anchorX':-1,'anchorY':0,'still':true");
        SAMPLES.put("restack", "'panel':'p1','to':99");
        SAMPLES.put("same-size", "'panels':['p2','p1'],'key':'p1','width':true");
        SAMPLES.put("seat-panels", "'panels':['p1'],'left':'2mm','turn':'30°'");
        SAMPLES.put("set-finish", "'panels':['p1','p2'],'width':'0.25 pt','colour':'#123','dash':'dashed','opacity':'80'");
        SAMPLES.put("set-fit", "'panels':['p1'],'fit':'stretch'");
        SAMPLES.put("set-tone", "'of':{'panels':['p1','p2','p3'],'whole':true},'part':'blue','hue':'12','grey':'-20 %'");
        SAMPLES.put("clear-tone", "'of':{'panels':['p1','p2','p3'],'layer':-1},'parts':['colour','vignette']");
        SAMPLES.put("copy-tone", "'from':'p1','to':'all','parts':['levels','brightness']");
        SAMPLES.put("name-tone", "'of':{'panels':['p1','p2','p3'],'paper':true},'name':'Dusk'");
        SAMPLES.put("follow-tone", "'of':{'panels':['p1','p2','p3']},'tone':'t1'");
        SAMPLES.put("forget-tone", "'tone':'t1'");
        SAMPLES.put("recolour-tone", "'of':{'panels':['p1','p2','p3']},'colour':'#446688'");
        SAMPLES.put("set-table", "'of':{'panels':['p1','p2','p3']},'table':'" + "ab".repeat(32) + "','name':'Dusk'");
        SAMPLES.put("even-tone", "'of':{'panels':['p1','p2','p3']}");
        SAMPLES.put("match-tone", "'of':{'panels':['p1','p2']},'like':{'panels':['p3']},'strength':'60 %'");
        SAMPLES.put("set-guides", "'columns':'12','gutter':'0.1 mm','own':[{'upright':true,'at':5}],'show':'THIRDS'");
        SAMPLES.put("set-look", "'panels':['p1','p2'],'layer':0,'opacity':'40 %','blend':'soft-light'");
        SAMPLES.put("set-wash", "'panels':['p1','p2'],'layer':1,'stops':[{'at':'0','colour':'#fff','opacity':'20'},{'at':1,"
                + "'colour':'#123456','opacity':1}],'turn':'45','round':true");
        SAMPLES.put("set-words", "'panels':['p1','p4'],'layer':1,'text':'Low tide','size':'12pt','colour':'#123456'");
        SAMPLES.put("box-words", "'panels':['p1','p4'],'layer':1,'padding':'1 mm','lie':'top'");
        SAMPLES.put("place-words", "'panels':['p1','p4'],'layer':1,'across':'2 mm','turn':'12'");
        SAMPLES.put("set-outline", "'panels':['p1'],'outline':{'kind':'rectangle','topLeft':'1mm','topRight':0,'bottomRight':0,"
                + "'bottomLeft':2}");
        SAMPLES.put("set-paper", "'paper':{'kind':'none'}");
        SAMPLES.put("set-up-sheet", "'width':'30 cm','ppi':'150','panels':'scale'");
        SAMPLES.put("shelve", "'pictures':[]");
        SAMPLES.put("freshen", "'picture':''");
        SAMPLES.put("bring-drawing", "'elements':[],'pictures':[],'says':''");
        SAMPLES.put("space", "'panels':['p1','p2','p3'],'how':'pack','gap':'2 mm'");
        SAMPLES.put("swap", "'one':'p1','other':'p2'");
        SAMPLES.put("swap-seats", "'one':'p1','other':'p2'");
        SAMPLES.put("traits", "'panels':['p1'],'locked':true");
        SAMPLES.put("turn-panels", "'panels':['p1','p2'],'by':'-30°'");
        SAMPLES.put("turn-picture", "'panels':['p1'],'turn':'12.5'");
        SAMPLES.put("unshelve", "'pictures':['" + Sheets.TALL.id() + "']");
        SAMPLES.put("zoom-picture", "'panels':['p1'],'zoom':'130 %'");
    }

    private static String json(String kind) {
        return ("{'kind':'" + kind + "'," + SAMPLES.get(kind) + "}").replace('\'', '"');
    }

    /** Those that only the program makes are not read from outside. */
    private static Edit edit(String kind, Sheet sheet) {
        return switch (kind) {
            case "shelve" -> new ShelvePictures(List.of(new Picture("f".repeat(64), "Frost", 900, 600)));
            case "freshen" -> new FreshenPicture(Sheets.DAWN.id(), new Picture("f".repeat(64), "Dawn", 3000, 2100));
            case "bring-drawing" -> new BringDrawing(List.of(Panel.empty("p1", "Brought", Rectangle.SHARP,
                    Seat.upright(new Point(40, 30), 20, 10))), List.of(), "Brought 1 panel.");
            case "return-to" -> new ReturnTo("Before the cut", Sheet.empty("Kept", Unit.MM, 90, 60, 200));
            case "follow-template" -> new FollowTemplate(Sheet.empty("Followed", Unit.MM, 90, 60, 200));
            default -> EditReader.read(json(kind), sheet);
        };
    }

    @Test
    void everyKindHasASample() {
        Set<String> kinds = new TreeSet<>(EditReader.kinds().map(c -> c.getAnnotation(JsonTypeName.class).value()).toList());
        assertThat(kinds).isEqualTo(new TreeSet<>(SAMPLES.keySet()));
        for (String ours : List.of("shelve", "return-to", "follow-template", "bring-drawing")) {
            assertThatThrownBy(() -> EditReader.read(json(ours), Sheet.empty("s", Unit.MM, 9, 9, 300))).isInstanceOf(BadInput.class);
        }
    }

    /**
     * Whatever a member of an edit becomes, or where one is missing: it is refused in words that name no class, or the sheet can be stored.
     */
    @Tried(2)
    void hostileMembersAreRefusedInWords(Chance chance) {
        Sheet before = Sheets.any(chance);
        for (String kind : SAMPLES.keySet()) {
            String json = json(kind);
            Matcher member = Pattern.compile("(\"\\w+\":)(\"[^\"]*\"|-?[0-9.]+|true|false|\\[\\]|\\[\"[^\\]]*\\])").matcher(json);
            while (member.find()) {
                boolean last = json.charAt(member.end()) == '}';
                boolean first = json.charAt(member.start() - 1) == '{';
                String without = last ? json.substring(0, member.start() - (first ? 0 : 1)) + json.substring(member.end())
                        : json.substring(0, member.start()) + json.substring(member.end() + 1);
                refusedOrSound(without, before);
                for (String value : Sheets.HOSTILE)
                    refusedOrSound(json.substring(0, member.start(2)) + value + json.substring(member.end()), before);
            }
        }
    }

    private static void refusedOrSound(String json, Sheet before) {
        String told = json.length() > 300 ? json.substring(0, 300) : json;
        try {
            Sheet after = EditReader.read(json, before).on(before);
            String written = SheetJson.write(after);
            assertThat(written).as(told).doesNotContain("Infinity", "NaN", "\\u0000");
            assertThat(SheetJson.read(written)).as(told).isEqualTo(after);
        } catch (BadInput refusal) {
            assertThat(refusal.getMessage()).as(told).isNotBlank().doesNotContain("plainlantern", "java.", "Exception", "instance of");
        } catch (RuntimeException e) {
            throw new AssertionError(told, e);
        }
    }

    /** Of each kind, how often it was made, and how often it was refused. */
    private static final Map<String, int[]> MADE = new TreeMap<>();
    /** What moves things, or what holds them, and leaves pictures as they are. */
    private static final Set<String> STILL = Set.of("repeat-around", "rename", "mirror-picture", "duplicate", "move-panels",
            "seat-panels", "align", "space",
            "traits", "group",
            "turn-panels", "mirror-panels", "paste", "set-look", "move-layer", "add-layer", "set-words", "box-words", "place-words",
                    "set-wash", "set-plate",
            "replace-vista", "copy-nudge", "clear-background", "set-up-sheet", "remove-swatch", "set-swatch", "return-to", "resize-panels",
                    "carry", "fit-caption", "set-tone", "clear-tone", "copy-tone", "name-tone", "follow-tone", "forget-tone",
                    "recolour-tone",
                    "set-table", "even-tone", "match-tone", "freshen");

    /**
     * Each kind of edit either refuses in words and leaves the sheet as it is, or gives a sheet that can be stored, in which every id
     * that was there is the same panel or gone, and in which no held picture that the edit placed is bare.
     */
    @Tried(36)
    void anEditRefusesInWordsOrGivesASoundSheet(Chance chance) {
        Sheet before = Sheets.any(chance);
        String was = SheetJson.write(before);
        for (String kind : SAMPLES.keySet()) {
            int[] made = MADE.computeIfAbsent(kind, k -> new int[2]);
            try {
                sound(kind, edit(kind, before), before);
                made[0]++;
            } catch (BadInput refusal) {
                assertThat(refusal.getMessage()).as(kind).matches("(?s).{12,}[.]");
                made[1]++;
            }
            assertThat(SheetJson.write(before)).isEqualTo(was);
        }
    }

    private static void sound(String kind, Edit edit, Sheet before) {
        Sheet after = edit.on(before);
        assertThat(edit.title(before)).isNotBlank().doesNotContain("null");
        assertThat(SheetJson.read(SheetJson.write(after))).as(kind).isEqualTo(after);
        assertThat(edit.on(before)).isEqualTo(after);
        assertThat(after.lastId()).isGreaterThanOrEqualTo(before.lastId());
        assertThat(edit.selected(before, after, List.of())).as(kind).allMatch(id -> after.find(id).isPresent());
        for (Panel panel : after.panels()) {
            boolean touched = !before.find(panel.id()).flatMap(Element::panel).map(p -> p.content().equals(panel.content())
                    && p.seat().equals(panel.seat()) && p.outline().equals(panel.outline())).orElse(false);
            Optional<Flat> front = panel.picture(-1).flatMap(layer -> layer.placement().flat());
            boolean byHand = front.map(flat -> flat.held() && flat.fit() == Fit.FREE).orElse(false);
            if (touched && byHand && !STILL.contains(kind)) assertThat(PanelState.of(after, panel)).as(kind).isNotEqualTo(PanelState.BARE);
        }
    }

    /** No kind is refused on every sheet: then nothing would be known of it. A short exploration does not come to all of them. */
    @AfterAll
    static void everyKindWasMade() {
        if (MADE.isEmpty() || Long.getLong("lantern.explore") != null) return;
        String told = MADE.entrySet().stream().map(e -> e.getKey() + " " + e.getValue()[0] + "/" + e.getValue()[1])
                .collect(Collectors.joining(", "));
        System.out.println("Edits made/refused: " + told);
        assertThat(MADE).as(told).allSatisfy((kind, made) -> assertThat(made[0]).as(kind).isPositive());
    }

    /** Mirroring twice, swapping twice and changing depth there and back end where they began. */
    @Test
    void whatIsDoneTwiceOrBackIsUndone() {
        Sheet sheet = Sheets.after(new ShelvePictures(List.of(Sheets.DAWN)).apply(Sheet.empty("s", Unit.MM, 200, 100, 300)),
                json("lay-out"), "{'kind':'fill','panels':['p1','p2'],'picture':'" + Sheets.DAWN.id() + "'}");
        assertThat(Sheets.after(sheet, json("mirror-picture"), json("mirror-picture"))).isEqualTo(sheet);
        assertThat(Sheets.after(sheet, json("swap"), json("swap"))).isEqualTo(sheet);
        assertThat(Sheets.after(sheet, "{'kind':'restack','panel':'p1','to':3}", "{'kind':'restack','panel':'p1','to':-5}"))
                .isEqualTo(sheet);
    }
}
