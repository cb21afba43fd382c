package plainlantern.checking;

import java.util.List;

/** One kind of fault. A new kind is a new file and a line in {@link Report#KINDS}. */
public interface Check {
    /** What all faults of the kind are called together. */
    String title();

    /** Whether a template rightly has such faults, and a file should not. */
    default boolean unfinished() {
        return false;
    }

    /** The faults of this kind on a sheet. */
    List<Fault> find(Checked checked);
}
