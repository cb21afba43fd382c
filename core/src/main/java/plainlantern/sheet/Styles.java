package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;

/**
 * What a sheet has under names, to be used again: its palette, its finishes, and its tones.
 *
 * @param lastId the highest number given to one of them so far
 */
public record Styles(List<Swatch> swatches, List<NamedFinish> finishes, @JsonInclude(JsonInclude.Include.NON_EMPTY) List<NamedTone> tones,
        int lastId) {
    public static final Styles NONE = new Styles(List.of(), List.of(), List.of(), 0);
    public static final int MOST = 60;

    public Styles {
        swatches = ById.of(swatches, Swatch::id, "colours");
        finishes = ById.of(finishes, NamedFinish::id, "finishes");
        tones = ById.of(tones == null ? List.of() : tones, NamedTone::id, "tones");
        BadInput.unless(swatches.size() <= MOST, "colour", "A palette holds at most " + MOST + " colours.");
        BadInput.unless(finishes.size() <= MOST, "name", "A sheet keeps at most " + MOST + " finishes.");
        BadInput.unless(tones.size() <= MOST, "name", "A sheet keeps at most " + MOST + " tones.");
    }

    public Optional<Swatch> swatch(String id) {
        return ((ById<Swatch>) swatches).find(id);
    }

    /** The finish with that id; throws {@link Gone} where there is none. */
    public NamedFinish finish(String id) {
        return ((ById<NamedFinish>) finishes).find(id).orElseThrow(() -> new Gone("That finish is no longer on the sheet."));
    }

    /** The tone with that id; throws {@link Gone} where there is none. */
    public NamedTone tone(String id) {
        return ((ById<NamedTone>) tones).find(id).orElseThrow(() -> new Gone("That tone is no longer on the sheet."));
    }

    public Styles withSwatches(List<Swatch> newSwatches) {
        return withSwatches(newSwatches, lastId);
    }

    public Styles withFinishes(List<NamedFinish> newFinishes) {
        return withFinishes(newFinishes, lastId);
    }

    public Styles withTones(List<NamedTone> newTones) {
        return withTones(newTones, lastId);
    }

    public Styles withSwatches(List<Swatch> newSwatches, int newLastId) {
        return new Styles(newSwatches, finishes, tones, newLastId);
    }

    public Styles withFinishes(List<NamedFinish> newFinishes, int newLastId) {
        return new Styles(swatches, newFinishes, tones, newLastId);
    }

    public Styles withTones(List<NamedTone> newTones, int newLastId) {
        return new Styles(swatches, finishes, newTones, newLastId);
    }
}
