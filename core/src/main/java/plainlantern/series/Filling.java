package plainlantern.series;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import plainlantern.editing.filling.FillPanels;
import plainlantern.editing.filling.ReplacePicture;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Content;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fields;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.StandIn;
import plainlantern.sheet.Treatment;
import plainlantern.sheet.Vista;

/**
 * What makes one sheet of a template.
 *
 * @param name     the sheet's
 * @param pictures by the {@link Place#key} of the place that each takes
 * @param values   what stands for each field of the captions
 * @param names    of the pictures, by their ids
 */
public record Filling(String name, Map<String, String> pictures, Map<String, String> values, Map<String, String> names) {
    public Filling {
        pictures = Map.copyOf(pictures);
        values = Map.copyOf(values);
        names = Map.copyOf(names);
    }

    /**
     * The template with its places and fields filled. A picture just covers its place, its focal point as near to the middle as that
     * allows, and is treated and looks as what it takes the place of. Places that are not there any more are left out.
     *
     * @param known the pictures by their ids, those of the filling at least
     */
    public Sheet on(Sheet template, Map<String, Picture> known) {
        Sheet sheet = template.withShelf(shelf(template, pictures.values(), known));
        for (Place place : Place.of(template)) {
            Picture comes = Optional.ofNullable(pictures.get(place.key())).map(known::get).orElse(null);
            if (comes != null) sheet = filled(sheet, place, comes);
        }
        Sheet said = sheet.everywhere(this::said);
        return tidied(said).named(name);
    }

    private static List<Picture> shelf(Sheet template, Collection<String> comes, Map<String, Picture> known) {
        Map<String, Picture> shelf = new LinkedHashMap<>();
        for (Picture picture : template.shelf()) shelf.put(picture.id(), picture);
        for (String id : comes) if (known.containsKey(id)) shelf.putIfAbsent(id, known.get(id));
        return new ArrayList<>(shelf.values());
    }

    /** The sheet with a picture of its shelf in a place. */
    static Sheet filled(Sheet sheet, Place place, Picture comes) {
        if (place instanceof Place.InElement in) {
            return sheet.holding(List.of(in.element().id()), holder -> in.layer() < 0 ? FillPanels.filled(sheet, holder, comes)
                    : holder.changingLayer(in.layer(), layer -> in(sheet, holder, layer.picture().orElseThrow(), comes)));
        }
        Vista vista = ((Place.Across) place).vista();
        return sheet.changingVistas(v -> v.id().equals(vista.id()) ? v.showing(comes).treated(treated(v.treatment(), comes)) : v);
    }

    private static Content in(Sheet sheet, Holder holder, PictureLayer was, Picture comes) {
        Flat flat = was.flat();
        boolean upright = flat.pose().turn() == 0 && !flat.pose().mirrored() && (flat.fit() == Fit.COVER || flat.fit() == Fit.FREE);
        PictureLayer fitted = upright ? FillPanels.covering(sheet, holder, comes, was.plane())
                : ReplacePicture.replaced(sheet, holder, was, comes);
        PictureLayer seen = was.through().map(fitted::seen).orElse(fitted);
        return seen.treated(treated(was.treatment(), comes)).looking(was.look()).veiled(was.veil());
    }

    /** What is taken out of the picture, and the template's tone where that has one. */
    private static Treatment treated(Treatment template, Picture comes) {
        return template.tone().plain() ? comes.treatment() : comes.treatment().toned(template.tone());
    }

    private Element said(Element element) {
        return values.isEmpty() ? element : element.holding(holder -> {
            List<Content> layers = new ArrayList<>();
            for (Content layer : holder.content()) {
                String text = layer.words().map(words -> Fields.filled(words.text(), values)).orElse(" . ");
                // Where there is nothing to say there are no words.
                if (!text.isBlank()) layers.add(layer.words().<Content>map(words -> words.saying(text)).orElse(layer));
            }
            return layers.equals(holder.content()) ? holder : holder.withContent(layers);
        });
    }

    /** Without what its shelf holds for nothing. */
    static Sheet tidied(Sheet sheet) {
        Set<String> used = new HashSet<>();
        for (Holder holder : sheet.holders()) for (PictureLayer picture : holder.pictures()) used.add(sheet.pictureOf(picture));
        sheet.paper().pictured().map(Paper.Pictured::picture).ifPresent(used::add);
        return sheet.withShelf(sheet.shelf().stream().filter(picture -> used.contains(picture.id())).toList());
    }

    /**
     * Pictures that most likely belong to a sheet's layout: those that are locked, that are blended with what is behind them, or that lie
     * behind all.
     */
    public static Set<String> staying(Sheet sheet) {
        Set<String> stay = new HashSet<>();
        sheet.paper().pictured().map(Paper.Pictured::picture).ifPresent(stay::add);
        for (Holder holder : sheet.holders()) {
            for (PictureLayer picture : holder.pictures()) {
                boolean blended = holder.finish().look().blend() != Blend.NORMAL || picture.look().blend() != Blend.NORMAL;
                if (holder.locked() || blended) stay.add(sheet.pictureOf(picture));
            }
        }
        return stay;
    }

    /**
     * A sheet as a template: its pictures give way to stand-ins, and all that was done to it stays.
     *
     * @param stays ids of pictures that belong to the layout, such as a logo or a texture; that of its paper always does
     */
    public static Sheet template(Sheet sheet, Set<String> stays) {
        Map<String, Picture> shelf = new LinkedHashMap<>();
        for (Picture picture : sheet.shelf()) shelf.put(picture.id(), picture);
        for (StandIn standIn : StandIn.values()) shelf.putIfAbsent(standIn.picture().id(), standIn.picture());
        return tidied(standIns(sheet.withShelf(new ArrayList<>(shelf.values())), place -> place.picture(sheet)
                .filter(picture -> !stays.contains(picture)).isPresent()));
    }

    /** A sheet that has all of them on its shelf with stand-ins in those of its places. */
    static Sheet standIns(Sheet sheet, Predicate<Place> open) {
        Sheet filled = sheet;
        int turn = 0;
        for (Place place : Place.every(sheet)) {
            if (!open.test(place)) continue;
            Seat seat = place.holder("p1").seat();
            filled = filled(filled, place, StandIn.nearest(seat.width() / seat.height(), turn++).picture());
        }
        return filled;
    }
}
