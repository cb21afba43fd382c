package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import plainlantern.arranging.SeamRules;
import plainlantern.sheet.Sheet;

/**
 * One change of a sheet. A gesture, a key, a field of the bench, a mend and an import all end in one of these. Edits are
 * pure: the same edit on the same sheet always gives the same sheet. Each belongs to a family, a sealed interface in a package of its own;
 * {@link plainlantern.editing.reading.EditReader} lists the families.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public interface Edit {
    /**
     * The sheet after the edit.
     *
     * @throws plainlantern.sheet.Gone          when it names what is no longer there
     * @throws plainlantern.asking.BadInput     when what it asks for cannot be
     * @throws AskFirst                         when it would lose something and is not {@link #agreedTo}
     */
    Sheet apply(Sheet before);

    /**
     * As {@link #apply}, with the rules that lie along seams brought to where these are then: every change of a sheet goes through here.
     */
    default Sheet on(Sheet before) {
        return SeamRules.followed(before, apply(before));
    }

    /** What the history calls it, such as "Cover again: Centre". */
    String title(Sheet before);

    /** The same after a person was asked and said yes. */
    default Edit agreedTo() {
        return this;
    }

    /** The same with what it needs from outside of the sheet; it is completed before it is applied. */
    default Edit completed(Outside outside, Sheet before) {
        return this;
    }

    /** What is selected after it, of elements that are there then, where {@code selected} was before. */
    default List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return selected;
    }

    /** The layer that is chosen after it in the first of the selected panels; empty where that stays. */
    default OptionalInt layer(Sheet after, List<String> selected) {
        return OptionalInt.empty();
    }

    /** What is to be said once it was made, where {@code after} is not quite what was asked for. */
    default Optional<Remark> remark(Sheet before, Sheet after) {
        return Optional.empty();
    }

    /** What would come of it, to be shown before it is made. */
    default Foreseen foreseen(Sheet before) {
        return Foreseen.of(before, on(before));
    }
}
