package plainlantern.series;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Content;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Panel;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.StandIn;
import plainlantern.sheet.Vista;

/** Where a template takes a picture. */
public sealed interface Place {
    /** By what a filling names it; the same as long as the element, or the vista, is there. */
    String key();

    /** What people call it, and the column of a table that names its pictures. */
    String name();

    /** It as a panel that a picture is dealt to. */
    Holder holder(String id);

    /** The picture that is there; empty where none is. */
    Optional<String> picture(Sheet sheet);

    /**
     * A layer of an element.
     *
     * @param layer its place among the layers, from the back; -1 where the element is empty
     */
    record InElement(Holder element, int layer, String name) implements Place {
        @Override
        public String key() {
            return element.id() + (layer <= 0 ? "" : "/" + layer);
        }

        @Override
        public Holder holder(String id) {
            return Panel.empty(id, name, element.outline(), element.seat());
        }

        @Override
        public Optional<String> picture(Sheet sheet) {
            return layer < 0 ? Optional.empty() : element.content().get(layer).picture().map(sheet::pictureOf);
        }
    }

    /** A vista, whose one picture several panels show. */
    record Across(Vista vista, String name) implements Place {
        @Override
        public String key() {
            return vista.id();
        }

        @Override
        public Holder holder(String id) {
            return Panel.empty(id, name, Rectangle.SHARP, new Seat(vista.centre(), vista.width(), vista.height(), 0, false));
        }

        @Override
        public Optional<String> picture(Sheet sheet) {
            return Optional.of(vista.picture());
        }
    }

    /**
     * The places that a sheet leaves open: its stand-ins and its empty panels. One that has no stand-ins leaves every picture's place
     * open. Elements come from back to front, a vista where the first of its panels stands.
     */
    static List<Place> of(Sheet sheet) {
        List<Place> waiting = of(sheet, StandIn::is);
        return waiting.stream().anyMatch(p -> !(p instanceof InElement in && in.layer < 0)) ? waiting : every(sheet);
    }

    /** All places, whatever they show. */
    static List<Place> every(Sheet sheet) {
        return of(sheet, picture -> true);
    }

    private static List<Place> of(Sheet sheet, Predicate<String> open) {
        List<Place> places = new ArrayList<>();
        Map<String, Integer> taken = new HashMap<>();
        Set<String> vistas = new HashSet<>();
        for (Holder holder : sheet.holders()) {
            if (holder.hidden() || holder.glaze().isPresent()) continue;
            if (holder.takesPictures() && holder.content().isEmpty()) places.add(new InElement(holder, -1, named(holder.name(), taken)));
            for (int at = 0; at < holder.content().size(); at++) {
                Content layer = holder.content().get(at);
                if (layer.look().off() || layer.picture().isEmpty()) continue;
                PictureLayer picture = layer.picture().get();
                if (!open.test(sheet.pictureOf(picture))) continue;
                if (picture.own().isPresent()) places.add(new InElement(holder, at, named(holder.name(), taken)));
                else picture.slice().map(slice -> sheet.vista(slice.vista())).filter(vista -> vistas.add(vista.id()))
                        .ifPresent(vista -> places.add(new Across(vista, named("Vista", taken))));
            }
        }
        return places;
    }

    /** "Sky", then "Sky 2". */
    private static String named(String name, Map<String, Integer> taken) {
        int times = taken.merge(name.toLowerCase(Locale.ROOT), 1, Integer::sum);
        return times == 1 ? name : name + " " + times;
    }
}
