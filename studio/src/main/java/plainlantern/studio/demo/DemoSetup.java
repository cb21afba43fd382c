package plainlantern.studio.demo;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import plainlantern.series.Plan;
import plainlantern.series.Table;
import plainlantern.sheet.Picture;
import plainlantern.studio.account.AccountStore;
import plainlantern.studio.account.Member;
import plainlantern.studio.series.SeriesDesk;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.sheets.Templates;
import plainlantern.studio.tables.ColourTables;
import plainlantern.studio.shelf.Pictures;

/** Makes the demo account with its pictures and sheets, once. */
@Component
@ConditionalOnProperty(name = "lantern.demo", havingValue = "true")
class DemoSetup implements ApplicationRunner {
    static final String ACCOUNT = "Kelder Bay Tide Mill";
    /** What the account signs in as until all of it is there. */
    private static final String UNFINISHED = ACCOUNT + ", being set up";
    private static final Logger LOG = LoggerFactory.getLogger(DemoSetup.class);

    private final AccountStore accounts;
    private final PasswordEncoder passwords;
    private final Pictures pictures;
    private final ColourTables tables;
    private final Sheets sheets;
    private final Templates templates;
    private final SeriesDesk series;

    DemoSetup(AccountStore accounts, PasswordEncoder passwords, Pictures pictures, ColourTables tables, Sheets sheets,
            Templates templates, SeriesDesk series) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.pictures = pictures;
        this.tables = tables;
        this.sheets = sheets;
        this.templates = templates;
        this.series = series;
    }

    @Override
    public void run(ApplicationArguments args) {
        if (accounts.find(ACCOUNT).isEmpty()) {
            // One that was interrupted is begun anew; its pictures are there already.
            accounts.find(UNFINISHED).ifPresent(member -> accounts.erase(member.id()));
            // Nobody knows this password: the demo is entered by its button.
            Member member = accounts.add(ACCOUNT, UNFINISHED, passwords.encode(UUID.randomUUID().toString()));
            make(member);
            accounts.rename(member.id(), ACCOUNT);
        }
        LOG.info("Demo is ready.");
    }

    private void make(Member member) {
        LOG.info("Painting {} demo pictures; this happens once.", DemoPictures.ALL.size());
        tables.add(member.id(), OldPostcard.FILE, OldPostcard.BYTES);
        Map<String, Picture> shelf = new LinkedHashMap<>();
        for (DemoPictures.Painted painted : DemoPictures.ALL) {
            Picture picture = pictures.add(member.id(), painted.file(), painted.bytes().get());
            shelf.put(picture.name(), picture);
        }
        for (DemoSheets.Plan plan : DemoSheets.ALL) make(member, plan, shelf);
        pressCards(member, shelf);
    }

    /** A card for each of four days: the template's fields are columns of a table. */
    private void pressCards(Member member, Map<String, Picture> shelf) {
        UUID template = templates.own(member.id(), "press");
        for (DemoSheets.Step step : DemoSheets.PRESS) sheets.apply(template, member.id(), sheet -> step.edit(sheet, shelf));
        Opened opened = sheets.open(template, member.id());
        Plan plan = Plan.of(opened.sheet(), DemoSheets.PRESS_PICTURES.stream().map(shelf::get).toList(),
                Optional.of(Table.read(DemoSheets.PRESS_TABLE.getBytes(StandardCharsets.UTF_8))), Plan.Order.BEST, "Press card {n}, {day}");
        series.begin(member.id(), opened, "Press cards, May", plan);
    }

    /** Makes a sheet as a person would, edit by edit, so that its history can be undone. */
    private void make(Member member, DemoSheets.Plan plan, Map<String, Picture> shelf) {
        UUID id = sheets.add(member.id(), plan.empty(), "New sheet");
        for (DemoSheets.Step step : plan.steps()) sheets.apply(id, member.id(), sheet ->
                step.edit(sheet, shelf).completed(pictures.of(member.id(), own -> Optional.empty()), sheet));
    }
}
