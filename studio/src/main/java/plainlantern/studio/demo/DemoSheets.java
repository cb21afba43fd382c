package plainlantern.studio.demo;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import plainlantern.asking.Typed;
import plainlantern.asking.Unit;
import plainlantern.editing.Edit;
import plainlantern.editing.dressing.FollowFinish;
import plainlantern.editing.filling.AddLayer;
import plainlantern.editing.filling.Deal;
import plainlantern.editing.filling.FillPanels;
import plainlantern.editing.filling.FramePicture;
import plainlantern.editing.filling.MovePicture;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.filling.ZoomPicture;
import plainlantern.editing.forms.Cut;
import plainlantern.editing.forms.MakeRegions;
import plainlantern.editing.forms.Overlapping;
import plainlantern.editing.mounting.MountHere;
import plainlantern.editing.placing.AddPanel;
import plainlantern.editing.placing.LayOut;
import plainlantern.editing.placing.MovePanels;
import plainlantern.editing.placing.Rename;
import plainlantern.editing.placing.TurnPanels;
import plainlantern.editing.reading.EditReader;
import plainlantern.editing.sheet.SetPaper;
import plainlantern.editing.vistas.Carry;
import plainlantern.editing.vistas.Loosen;
import plainlantern.editing.vistas.MakeVista;
import plainlantern.fitting.Dealing;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Regions;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.pattern.EvenGrid;
import plainlantern.pattern.Honeycomb;
import plainlantern.pattern.Interlock;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Polyptych;
import plainlantern.pattern.StepAndRepeat;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Element;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Treatment;

/** The finished sheets of the demo, as the edits that lead to them. */
final class DemoSheets {
    /** One edit, made when the sheet and the shelf's pictures by name are known. */
    interface Step {
        Edit edit(Sheet sheet, Map<String, Picture> shelf);
    }

    /** A sheet from empty to finished. */
    record Plan(Sheet empty, List<Step> steps) {}

    private static final List<String> MORNINGS = List.of("Dawn over the bay", "Mist on the reeds", "First boat out", "Square tide",
            "The wheel", "Tide mill at noon", "Frost on the ridges", "Blue hour", "The hide");
    private static final List<String> CARD = List.of("Long evening", "Geese going home", "Moon tide", "Low water");
    private static final List<String> EXTRA = List.of("Heron", "Mill wheel");

    private static final List<String> EVERYTHING = Stream.of(MORNINGS, CARD, EXTRA).flatMap(List::stream).toList();
    private static final Margins NARROW = new Margins(12, 12, 12, 12);

    static final List<Plan> ALL = List.of(leaflet(), badges(), joiner(), quarters(), poster(), puzzle(), honeycomb(),
            postcard(), highWater(), triptych(), mornings(), inks(), glazed(), evenings(),
            gallery());

    static final List<String> PRESS_PICTURES = Stream.of(MORNINGS, CARD).flatMap(List::stream).limit(12).toList();
    static final String PRESS_TABLE = """
            title,day,Wheel side
            The mill turns again,Sunday 9 May,Tide mill at noon
            "First light, first flood",Monday 10 May,Dawn over the bay
            A day in the hide,Tuesday 11 May,The hide
            Geese going home,Wednesday 12 May,Geese going home
            """;
    /** Makes fields of the press card's captions, and gives a place the name of a column. */
    static final List<Step> PRESS = List.of(
            said("{'kind':'rename','panel':'p1','name':'Wheel side'}"),
            said("{'kind':'set-words','panels':['p4'],'layer':1,'text':'{title}'}"),
            said("{'kind':'set-words','panels':['p5'],'layer':1,'text':'Kelder Bay Tide Mill, {day}'}"),
            said("{'kind':'rename-sheet','name':'Press card with fields'}"));

    private DemoSheets() {}

    private static Plan mornings() {
        List<Step> steps = new ArrayList<>();
        steps.add(shelve(EVERYTHING));
        steps.add((sheet, shelf) -> LayOut.replacing(new EvenGrid(3, 3, 6, 6), new Margins(20, 20, 20, 20)));
        for (int i = 0; i < MORNINGS.size(); i++) {
            String name = MORNINGS.get(i);
            int at = i;
            steps.add((sheet, shelf) -> new FillPanels(List.of(id(sheet, at)), shelf.get(name).id()));
            steps.add((sheet, shelf) -> new Rename(id(sheet, at), name));
        }
        steps.add((sheet, shelf) -> new ZoomPicture(List.of(id(sheet, 0)), 118, OptionalDouble.of(20), OptionalDouble.of(0), false,
                Typed.FRONTMOST));
        steps.add((sheet, shelf) -> new MovePicture(List.of(id(sheet, 1)), 0, -24, false, Typed.FRONTMOST));
        steps.add((sheet, shelf) -> new ZoomPicture(List.of(id(sheet, 5)), 125, OptionalDouble.of(0), OptionalDouble.of(0), false,
                Typed.FRONTMOST));
        steps.add((sheet, shelf) -> new MovePicture(List.of(id(sheet, 7)), 0, -30, false, Typed.FRONTMOST));
        steps.add(said("{'kind':'set-finish','panels':['p1'],'width':'1.5 mm','colour':'#FAF8F4','side':'inside'}"));
        steps.add(said("{'kind':'set-shadow','panels':['p1'],'distance':1.2,'direction':150,'blur':3.5,'opacity':'42 %'}"));
        steps.add(said("{'kind':'name-finish','panels':['p1'],'name':'Gallery'}"));
        steps.add((sheet, shelf) -> new FollowFinish(ids(sheet), Optional.of("f1")));
        return new Plan(Sheet.empty("Nine mornings", Unit.MM, 420, 297, 300), steps);
    }

    private static Plan postcard() {
        List<Step> steps = new ArrayList<>();
        steps.add(shelve(CARD));
        steps.add((sheet, shelf) -> new SetPaper(new Paper.Plain(Colour.of("#F4EBDD"))));
        panel(steps, 0, "Long evening", Rectangle.SHARP, 6, 6, 136, 50);
        panel(steps, 1, "Geese going home", new Rectangle(0, 0, 0, 8), 6, 59, 43, 40);
        panel(steps, 2, "Moon tide", new Ellipse(), 54, 59, 40, 40);
        panel(steps, 3, "Low water", new Rectangle(0, 0, 8, 0), 99, 59, 43, 40);
        steps.add((sheet, shelf) -> new AddLayer(List.of(id(sheet, 0)), AddLayer.What.WASH, Optional.empty()));
        steps.add((sheet, shelf) -> new AddLayer(List.of(id(sheet, 0)), AddLayer.What.WORDS, Optional.empty()));
        steps.add(said("{'kind':'set-words','panels':['p1'],'layer':2,'text':'Kelder Bay Tide Mill','typeface':'Playfair Display',"
                + "'size':9}"));
        steps.add(said("{'kind':'place-words','panels':['p1'],'layer':2,'across':0,'down':16}"));
        return new Plan(Sheet.empty("Season postcard", Unit.MM, 148, 105, 300), steps);
    }

    private static Plan triptych() {
        List<Step> steps = new ArrayList<>(List.of(shelve(CARD),
                lay(new Polyptych(List.of(1.0, 1.4, 1.0), 6, 8, true), new Margins(48, 13, 48, 13))));
        steps.add((sheet, shelf) -> new MakeVista(ids(sheet), shelf.get("Long evening").id()));
        steps.add((sheet, shelf) -> new MovePicture(ids(sheet), 90, 0, true, Typed.FRONTMOST));
        for (String name : List.of("Left", "Centre", "Right")) {
            int at = List.of("Left", "Centre", "Right").indexOf(name);
            steps.add((sheet, shelf) -> new Rename(id(sheet, at), name));
        }
        return new Plan(Sheet.empty("Tide triptych", Unit.MM, 420, 297, 300), steps);
    }

    private static Plan honeycomb() {
        List<String> names = List.of("Dawn over the bay", "Mist on the reeds", "First boat out", "Square tide", "The wheel",
                "Tide mill at noon",
                "Frost on the ridges", "Blue hour", "The hide", "Long evening", "Moon tide", "Low water", "Geese going home");
        List<Step> steps = new ArrayList<>(List.of(shelve(names), lay(new Honeycomb(4, 3, 4, false), new Margins(14, 14, 14, 14))));
        steps.add((sheet, shelf) -> new SetPaper(new Paper.Plain(Colour.of("#22303A"))));
        fill(steps, names, 12);
        return new Plan(Sheet.empty("Bird hide wall", Unit.MM, 297, 297, 300), steps);
    }

    /** One picture behind twelve pieces that carry it along, pulled apart; the last one lies aside, turned. */
    private static Plan puzzle() {
        List<Step> steps = new ArrayList<>(List.of(shelve(EVERYTHING), lay(new Interlock(3, 4, 0.21, 7), new Margins(43, 58, 43, 58))));
        steps.add((sheet, shelf) -> new MakeVista(ids(sheet), shelf.get("Tide mill at noon").id()));
        steps.add((sheet, shelf) -> new Carry(ids(sheet), true));
        for (int i = 0; i < 12; i++) {
            int at = i;
            steps.add((sheet, shelf) -> MovePanels.along(List.of(id(sheet, at)), (at % 4 - 1.5) * 13, (at / 4 - 1) * 13));
        }
        steps.add((sheet, shelf) -> MovePanels.along(List.of(id(sheet, 11)), 9, 9));
        steps.add((sheet, shelf) -> new TurnPanels(List.of(id(sheet, 11)), 14));
        return new Plan(Sheet.empty("Mill puzzle", Unit.MM, 297, 210, 300), steps);
    }

    /** Three-quarter inch at 300 ppi is 225 px; on a card of 1748 by 1240 px (A6) with gaps of 36 px, 24 fit. Dealt from the shelf. */
    private static Plan badges() {
        List<String> names = List.of("Heron", "Square tide", "Mill wheel", "The hide", "Geese going home", "Moon tide");
        double px = Unit.PX.inMm(300);
        List<Step> steps = new ArrayList<>(List.of(shelve(names),
                lay(new StepAndRepeat(225 * px, 225 * px, 36 * px, 36 * px, true), new Margins(59 * px, 59 * px, 59 * px, 59 * px))));
        steps.add((sheet, shelf) -> new Deal(Deal.To.ALL, List.of(), List.of(), false, Dealing.Use.EVENLY));
        return new Plan(Sheet.empty("Warden badges", Unit.PX, 1748 * px, 1240 * px, 300), steps);
    }

    /** A leaflet with faults of many kinds, for Check to find and to mend. */
    private static Plan leaflet() {
        List<String> names = List.of("First boat out", "Low water", "Tide mill at noon", "The hide", "Mist on the reeds", "Moon tide",
                "Geese going home", "The wheel");
        List<Step> steps = new ArrayList<>(List.of(shelve(names), shelve(List.of("Frost on the ridges")),
                lay(new EvenGrid(2, 4, 6, 6), new Margins(14, 14, 40, 14))));
        fill(steps, names, 8);
        steps.add(said("{'kind':'hold-covered','panels':['p2'],'held':false}"));
        steps.add(said("{'kind':'centre-picture','panels':['p2'],'down':9}"));
        steps.add(said("{'kind':'set-fit','panels':['p3'],'fit':'stretch'}"));
        steps.add(said("{'kind':'seat-panels','panels':['p5'],'left':0}"));
        steps.add(said("{'kind':'move-panels','panels':['p7'],'dx':0,'dy':0.3}"));
        steps.add(said("{'kind':'move-panels','panels':['p4'],'dx':2.5,'dy':0}"));
        steps.add(said("{'kind':'set-finish','panels':['p8'],'width':'0.15 pt','colour':'#23262A'}"));
        steps.add(said("{'kind':'add-caption','text':'The tide mill turns twice a day, with the water of the bay. Come at high water, "
                + "and bring boots.'}"));
        steps.add(said("{'kind':'set-words','panels':['p9'],'layer':1,'typeface':'Zilla Slab','size':'24 pt','colour':'#E8E4DA'}"));
        steps.add(said("{'kind':'set-plate','panels':['p9'],'opacity':'35 %'}"));
        steps.add(said("{'kind':'seat-panels','panels':['p9'],'left':14,'top':178,'width':150,'height':18}"));
        return new Plan(Sheet.empty("Leaflet to be checked", Unit.MM, 297, 210, 300), steps);
    }

    /** One panel as large as the margins, cut three times. */
    private static Plan poster() {
        List<String> names = List.of("Low water", "Tide mill at noon", "Geese going home", "Blue hour", "First boat out",
                "The wheel", "Long evening");
        List<Step> steps = new ArrayList<>(List.of(shelve(names), shelve(List.of("Heron")), lay(new EvenGrid(1, 1, 0, 0), NARROW)));
        steps.add((sheet, shelf) -> new Cut(0, 310, 297, 130, 5, List.of()));
        steps.add((sheet, shelf) -> new Cut(0, 90, 297, 330, 5, List.of()));
        steps.add((sheet, shelf) -> new Cut(25, 0, 135, 420, 5, List.of()));
        fill(steps, names, 7);
        steps.add(said("{'kind':'rules-along','width':'1.2 mm'}"));
        steps.add(said("{'kind':'set-finish','panels':['p8','p9','p10'],'colour':'#C9B48A'}"));
        steps.add((sheet, shelf) -> new FramePicture(shelf.get("Heron").id(), Optional.empty(), OptionalDouble.empty(),
                OptionalDouble.empty(), false, false));
        steps.add(said("{'kind':'seat-panels','panels':['p11'],'left':154,'top':212,'width':135,'height':187}"));
        steps.add(said("{'kind':'set-ground','panels':['p11'],'width':'260 %','flatness':'11 %','opacity':'60 %'}"));
        steps.add(said("{'kind':'set-shadow','panels':['p11'],'distance':3,'direction':110,'blur':8,'opacity':'35 %'}"));
        steps.add(said("{'kind':'add-caption','text':'Open day at the tide mill\\nSunday 9 May, from first light'}"));
        steps.add(said("{'kind':'set-words','panels':['p12'],'layer':1,'typeface':'Playfair Display','size':'27 pt','leading':'135 %'}"));
        steps.add(said("{'kind':'box-words','panels':['p12'],'layer':1,'padding':6}"));
        steps.add(said("{'kind':'seat-panels','panels':['p12'],'left':24,'top':364,'width':150}"));
        steps.add(said("{'kind':'fit-caption','panels':['p12']}"));
        return new Plan(Sheet.empty("Open day poster", Unit.MM, 297, 420, 300), steps);
    }

    /** The poster in black and white, two of its panels each in a colour of the palette; all follow one tone but those and the bird. */
    private static Plan inks() {
        Plan poster = poster();
        List<Step> steps = new ArrayList<>(poster.steps());
        steps.add(said("{'kind':'add-swatches','colours':['#C8553D','#2F6F73']}"));
        steps.add(said("{'kind':'set-tone','of':{'panels':['p1','p2','p3','p4','p5','p6','p7']},'mono':true,'contrast':'30 %',"
                + "'shadows':'20 %','edge':'-35 %'}"));
        steps.add(said("{'kind':'set-tone','of':{'panels':['p1','p2','p3','p4','p5','p6','p7']},'part':'blue','grey':'-40 %'}"));
        steps.add(said("{'kind':'name-tone','of':{'panels':['p1','p2','p3','p4','p5','p6','p7']},'name':'Ink'}"));
        for (String[] accent : new String[][] {{"p1", "#C8553D@s1"}, {"p4", "#2F6F73@s2"}}) {
            steps.add(said("{'kind':'follow-tone','of':{'panels':['" + accent[0] + "']}}"));
            steps.add(said("{'kind':'recolour-tone','of':{'panels':['" + accent[0] + "']},'colour':'" + accent[1] + "'}"));
        }
        return new Plan(poster.empty().named("Open day in two inks"), steps);
    }

    /**
     * The poster finished by glazes: one light over all, a shifted strip broken into waves, a frosted plate; light and paper lie over all
     * that, partly hidden; the bird and the words stand above.
     */
    private static Plan glazed() {
        Plan poster = poster();
        List<Step> steps = new ArrayList<>(poster.steps());
        steps.add(said("{'kind':'add-glaze','where':'sheet'}"));
        steps.add(said("{'kind':'rename','panel':'p13','name':'Light over all'}"));
        steps.add(said("{'kind':'recolour-tone','of':{'panels':['p13']},'colour':'#2F6F73'}"));
        steps.add(said("{'kind':'set-tone','of':{'panels':['p13']},'part':'brightness','strength':'30 %','blend':'color'}"));
        steps.add(said("{'kind':'set-tone','of':{'panels':['p13']},'shadows':'30 %','highlights':'-20 %'}"));
        steps.add(said("{'kind':'add-panel','outline':{'kind':'rectangle','topLeft':0,'topRight':0,'bottomRight':0,'bottomLeft':0}}"));
        steps.add(said("{'kind':'seat-panels','panels':['p14'],'left':40,'top':14,'width':24,'height':392}"));
        steps.add(said("{'kind':'make-glaze','panels':['p14']}"));
        steps.add(said("{'kind':'rename','panel':'p14','name':'Shifted strip'}"));
        steps.add(said("{'kind':'set-glaze','panels':['p14'],'dx':-96}"));
        steps.add(said("{'kind':'bend','panels':['p14'],'bend':{'kind':'wave','amplitude':4,'length':42,'turn':90,"
                + "'phase':0,'shape':'square'}}"));
        steps.add(said("{'kind':'set-finish','panels':['p14'],'width':'0.6 mm','colour':'#FFFFFF'}"));
        texture(steps, "p15", "Side light", "screen", "85 %");
        steps.add(said("{'kind':'veil','panels':['p15'],'part':{'kind':'gradient','round':true,'from':{'x':214,'y':95},"
                + "'to':{'x':330,'y':95},'strength':'70 %'}}"));
        texture(steps, "p16", "Paper", "multiply", "80 %");
        steps.add(said("{'kind':'veil','panels':['p16'],'part':{'kind':'stroke','dots':[[60,118,1],[78,140,1],[70,168,0.8],[92,190,0.6]],"
                + "'size':70,'softness':'90 %','strength':'85 %'}}"));
        steps.add(said("{'kind':'raise','panels':['p14','p15','p16'],'to':'front'}"));
        steps.add(said("{'kind':'raise','panels':['p11','p12'],'to':'front'}"));
        steps.add(said("{'kind':'add-glaze','where':'under','panels':['p12']}"));
        steps.add(said("{'kind':'rename','panel':'p17','name':'Frosted plate'}"));
        steps.add(said("{'kind':'set-plate','panels':['p12'],'opacity':'55 %'}"));
        return new Plan(poster.empty().named("Open day, finished"), steps);
    }

    /** A picture over all of the poster, its sides beyond the trim. */
    private static void texture(List<Step> steps, String id, String picture, String blend, String opacity) {
        steps.add(shelve(List.of(picture)));
        steps.add((sheet, shelf) -> new FramePicture(shelf.get(picture).id(), Optional.empty(), OptionalDouble.empty(),
                OptionalDouble.empty(), false, false));
        steps.add(said("{'kind':'seat-panels','panels':['" + id + "'],'left':-3,'top':-3,'width':303,'height':426}"));
        steps.add(said("{'kind':'set-finish','panels':['" + id + "'],'blend':'" + blend + "','opacity':'" + opacity + "'}"));
    }

    /** Four pictures of four evenings, brought near the light of one of them. */
    private static Plan evenings() {
        List<String> names = List.of("Long evening", "Low water", "First boat out", "Square tide");
        List<Step> steps = new ArrayList<>(List.of(shelve(names), lay(new EvenGrid(2, 2, 5, 5), NARROW)));
        fill(steps, names, 4);
        steps.add(said("{'kind':'match-tone','of':{'panels':['p2','p3','p4']},'like':{'panels':['p1']},'strength':'85 %'}"));
        return new Plan(Sheet.empty("Four evenings in one light", Unit.MM, 297, 210, 300), steps);
    }

    /** A collage seen through letters, and one picture in others. */
    private static Plan highWater() {
        List<Step> steps = new ArrayList<>(List.of(shelve(Stream.concat(MORNINGS.stream(), CARD.stream()).toList())));
        steps.add((sheet, shelf) -> new SetPaper(new Paper.Plain(Colour.of("#F4EBDD"))));
        steps.add(said("{'kind':'add-letters','spelling':{'text':'HIGH\\nWATER\\nDAYS','face':{'family':'Hanken Grotesk',"
                + "'weight':900},'side':'left',"
                + "'leading':'82 %','tracking':'-10'}}"));
        steps.add(said("{'kind':'seat-panels','panels':['p1'],'left':15,'top':24}"));
        steps.add(said("{'kind':'lay-out','where':'inside','panels':['p1'],'pattern':{'kind':'even-grid','rows':9,'columns':9,"
                + "'gapAcross':1.2,"
                + "'gapDown':1.2,'columnWeights':'','rowWeights':'','merged':[]}}"));
        steps.add((sheet, shelf) -> new Deal(Deal.To.ALL, List.of(), List.of(), false, Dealing.Use.EVENLY));
        steps.add(said("{'kind':'add-letters','spelling':{'text':'TIDE MILL','face':{'family':'Oswald','weight':700},'side':'left',"
                + "'leading':1,'tracking':'30'}}"));
        steps.add(saidOfLast("{'kind':'seat-panels','panels':['LAST'],'left':15,'top':272}"));
        steps.add((sheet, shelf) -> new FillPanels(List.of(last(sheet)), shelf.get("Long evening").id()));
        steps.add(said("{'kind':'add-caption','text':'A day on the wall of Kelder Bay, in seventy pictures.\\nDoors open an hour "
                + "before the flood.'}"));
        steps.add(saidOfLast("{'kind':'set-words','panels':['LAST'],'layer':1,'typeface':'Zilla Slab',"
                + "'weight':300,'size':'19 pt','leading':'140 %','colour':'#3B4A52'}"));
        steps.add(saidOfLast("{'kind':'set-plate','panels':['LAST'],'opacity':'0 %'}"));
        steps.add(saidOfLast("{'kind':'box-words','panels':['LAST'],'layer':1,'padding':0}"));
        steps.add(saidOfLast("{'kind':'seat-panels','panels':['LAST'],'left':16,'top':352,'width':230}"));
        steps.add(saidOfLast("{'kind':'fit-caption','panels':['LAST']}"));
        return new Plan(Sheet.empty("High water poster", Unit.MM, 297, 420, 300), steps);
    }

    /** Four rectangles and four circles across their shared sides, made into four pieces that interlock. */
    private static Plan quarters() {
        List<String> names = List.of("Dawn over the bay", "Tide mill at noon", "Moon tide", "Long evening");
        List<Step> steps = new ArrayList<>(List.of(shelve(names), lay(new EvenGrid(2, 2, 0, 0), NARROW)));
        double[][] circles = {{148.5, 58}, {148.5, 152}, {80, 105}, {217, 105}};
        for (double[] at : circles) steps.add((sheet, shelf) -> AddPanel.into(new Ellipse(), Box.around(new Point(at[0], at[1]), 36, 36)));
        steps.add((sheet, shelf) -> new MakeRegions(ids(sheet), quarters(Overlapping.of(sheet, ids(sheet), 2).regions())));
        fill(steps, names, 4);
        steps.add((sheet, shelf) -> EditReader.read(("{'kind':'set-finish','panels':['" + String.join("','", ids(sheet))
                + "'],'width':'1.6 mm','colour':'#FAF8F4','side':'centred'}").replace('\'', '"'), sheet));
        return new Plan(Sheet.empty("Four quarters of the day", Unit.MM, 297, 210, 300), steps);
    }

    /**
     * What is left of each rectangle, with one whole circle: the upper one goes to the left, the right one to the top, and so on around.
     */
    private static List<List<Integer>> quarters(Regions regions) {
        int[] of = {0, 3, 2, 1};
        List<List<Integer>> groups = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        for (int region = 0; region < regions.count(); region++) {
            BitSet owners = regions.owners(region);
            int circle = owners.nextSetBit(4);
            groups.get(circle < 0 ? owners.nextSetBit(0) : of[circle - 4]).add(region);
        }
        return groups;
    }

    /** A photographed room: one picture through the three frames of a wall, in the wall's plane, and another around the corner. */
    private static Plan gallery() {
        List<Step> steps = new ArrayList<>(List.of(shelve(List.of("Gallery", "Long evening", "Geese going home"))));
        steps.add((sheet, shelf) -> new SetPaper(new Paper.Pictured(shelf.get("Gallery").id(), 0, Treatment.NONE)));
        List<String> names = List.of("Left", "Centre", "Right", "Around the corner");
        for (int i = 0; i < names.size(); i++) {
            int at = i;
            steps.add((sheet, shelf) -> new MountHere(shelf.get(at < 3 ? "Long evening" : "Geese going home").id(),
                    hung(sheet, shelf.get("Gallery"), at)));
            steps.add((sheet, shelf) -> new Rename(id(sheet, at), names.get(at)));
        }
        steps.add((sheet, shelf) -> new MakeVista(ids(sheet).subList(0, 3), shelf.get("Long evening").id()));
        steps.add(said("{'kind':'mount','panels':['p1'],'whole':true}"));
        // A little of everything that a tone has in colour: seen in lamplight, and printed on rough paper.
        steps.add(said("{'kind':'set-tone','of':{'panels':['p4']},'temperature':8,'tint':'-3 %','exposure':0.1,'black':'2 %','white':'2 %',"
                + "'contrast':'10 %','shadows':'12 %','highlights':'-10 %','fine':'8 %','broad':'6 %','saturation':'-6 %','muted':'10 %',"
                + "'edge':'-20 %','begins':'40 %','grain':'6 %','size':'0.5 mm','sharp':'30 %','radius':'0.3 mm'}"));
        steps.add(said("{'kind':'set-tone','of':{'panels':['p4']},'part':'blue','hue':8,'chroma':'6 %','lightness':'-5 %'}"));
        steps.add(said("{'kind':'recolour-tone','of':{'panels':['p4']},'colour':'#C8553D'}"));
        steps.add(said("{'kind':'set-tone','of':{'panels':['p4']},'part':'brightness','strength':'12 %'}"));
        steps.add(said("{'kind':'set-table','of':{'panels':['p4']},'table':'" + OldPostcard.ID + "'}"));
        steps.add(said("{'kind':'set-tone','of':{'panels':['p4']},'part':'table','strength':'30 %'}"));
        for (String id : List.of("p1", "p2", "p3", "p4")) steps.add(said("{'kind':'set-shadow','panels':['" + id
                + "'],'inside':true,'distance':1,'direction':140,'blur':2.4,'opacity':'55 %'}"));
        return new Plan(Sheet.empty("Three frames in the gallery", Unit.MM, 297, 198, 300), steps);
    }

    /** Where the inner corners of a frame of the gallery are on a sheet that its picture covers. */
    private static List<Point> hung(Sheet sheet, Picture gallery, int frame) {
        Box box = sheet.bounds().grown(sheet.bleed());
        double scale = Math.max(box.width() / gallery.width(), box.height() / gallery.height());
        return Room.frame(frame, (double) gallery.width() / gallery.height()).stream().map(p -> box.centre().plus(
                new Point((p.x() - 0.5) * gallery.width() * scale, (p.y() - 0.5) * gallery.height() * scale))).toList();
    }

    private static String last(Sheet sheet) {
        return sheet.elements().get(sheet.elements().size() - 1).id();
    }

    /** Sixty looks at one picture, each a little off, as if photographed one by one. */
    private static Plan joiner() {
        List<Step> steps = new ArrayList<>(List.of(shelve(List.of("Tide mill at noon")), lay(new EvenGrid(6, 10, 0, 0), NARROW)));
        steps.add((sheet, shelf) -> new MakeVista(ids(sheet), shelf.get("Tide mill at noon").id()));
        steps.add((sheet, shelf) -> new ZoomPicture(List.of(id(sheet, 0)), 122, OptionalDouble.empty(), OptionalDouble.empty(), true,
                Typed.FRONTMOST));
        steps.add((sheet, shelf) -> new Loosen(ids(sheet), 1.8, 0.14, 3.5, 6, false));
        return new Plan(Sheet.empty("Sixty looks at the mill", Unit.MM, 210, 148, 300), steps);
    }

    /** As {@link #said}, of the element in front: {@code LAST} stands for its id. */
    private static Step saidOfLast(String json) {
        return (sheet, shelf) -> EditReader.read(json.replace("LAST", last(sheet)).replace('\'', '"'), sheet);
    }

    /** An edit as the page sends it, with single quotes. */
    private static Step said(String json) {
        return (sheet, shelf) -> EditReader.read(json.replace('\'', '"'), sheet);
    }

    private static List<String> ids(Sheet sheet) {
        return sheet.elements().stream().map(Element::id).toList();
    }

    private static Step shelve(List<String> names) {
        return (sheet, shelf) -> new ShelvePictures(names.stream().map(shelf::get).toList());
    }

    private static Step lay(Pattern pattern, Margins margins) {
        return (sheet, shelf) -> LayOut.replacing(pattern, margins);
    }

    /** Fills that many panels with the pictures in turn. */
    private static void fill(List<Step> steps, List<String> names, int count) {
        for (int i = 0; i < count; i++) {
            String name = names.get(i % names.size());
            int at = i;
            steps.add((sheet, shelf) -> new FillPanels(List.of(id(sheet, at)), shelf.get(name).id()));
        }
    }

    private static void panel(List<Step> steps, int at, String picture, Outline outline,
                              double left, double top, double width, double height) {
        steps.add((sheet, shelf) -> AddPanel.into(outline, new Box(left, top, width, height)));
        steps.add((sheet, shelf) -> new FillPanels(List.of(id(sheet, at)), shelf.get(picture).id()));
        steps.add((sheet, shelf) -> new Rename(id(sheet, at), picture));
    }

    private static String id(Sheet sheet, int at) {
        return sheet.elements().get(at).id();
    }
}
