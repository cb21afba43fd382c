package plainlantern.studio.quota;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * What one account may hold. Each component is a setting: {@code lantern.quota.sheets}, or LANTERN_QUOTA_SHEETS in the environment.
 *
 * @param pictures     of all its pictures' files
 * @param sheets       in number, those put away included
 * @param history      of all steps and versions of all its sheets
 * @param sheetHistory of the steps of one sheet; the oldest are forgotten beyond it
 * @param files        of all finished files
 * @param waiting      files in number that wait or are being made
 */
@ConfigurationProperties("lantern.quota")
public record Quota(@DefaultValue("20GB") DataSize pictures, @DefaultValue("10000") int sheets, @DefaultValue("4GB") DataSize history,
        @DefaultValue("64MB") DataSize sheetHistory, @DefaultValue("20GB") DataSize files, @DefaultValue("40") int waiting) {}
