package plainlantern.checking;

import java.util.List;
import java.util.Optional;
import plainlantern.editing.Edit;
import plainlantern.geometry.Box;

/**
 * One fault.
 *
 * @param panels the elements that it is about, the first one first; none for what concerns no element
 * @param says   what is wrong and by how much, one sentence
 * @param place  where it is on the sheet, mm
 * @param mend   the edit that makes it good, where one can be computed
 */
public record Fault(Weight weight, List<String> panels, String says, Box place, Optional<Edit> mend) {
    /** The same with nothing that makes it good. */
    Fault withoutMend() {
        return new Fault(weight, panels, says, place, Optional.empty());
    }
}
