package plainlantern.studio.quota;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * What one account may hold, files in megabytes of 1,000,000 bytes. Each component is a setting: {@code lantern.quota.sheets}, or
 * LANTERN_QUOTA_SHEETS in the environment.
 *
 * @param pictures     of all its pictures' files
 * @param sheets       in number, those put away included
 * @param history      of all steps and versions of all its sheets
 * @param sheetHistory of the steps of one sheet; the oldest are forgotten beyond it
 * @param files        of all finished files
 * @param waiting      files in number that wait or are being made
 * @param typefaces    of its own, in number, of 20 MB at most each
 * @param tables       of colours, in number, of 16 MB at most each
 */
@ConfigurationProperties("lantern.quota")
public record Quota(@DefaultValue("20000") long pictures, @DefaultValue("10000") int sheets, @DefaultValue("4000") long history,
        @DefaultValue("64") long sheetHistory, @DefaultValue("20000") long files, @DefaultValue("40") int waiting,
        @DefaultValue("100") int typefaces, @DefaultValue("100") int tables) {
    private static final long MEGABYTE = 1_000_000;

    public long pictureBytes() {
        return pictures * MEGABYTE;
    }

    public long historyBytes() {
        return history * MEGABYTE;
    }

    public long sheetHistoryBytes() {
        return sheetHistory * MEGABYTE;
    }

    public long fileBytes() {
        return files * MEGABYTE;
    }
}
