package garden.vivarium.app.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import java.io.StringReader;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtStart;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.result.MockMvcResultMatchers;

/** The calendar read back by a parser: entries move when days do and never double; private addresses open just one nursery. */
@AutoConfigureMockMvc
class CalendarTest extends AtANursery {

    @Autowired
    private NurseryCalendar calendar;

    @Autowired
    private Feeds feeds;

    @Autowired
    private CareBook care;

    @Autowired
    private MockMvc pages;

    @Test
    void anEntryMovesWhenItsDayDoesAndKeepsItsId() throws Exception {
        BatchView batch = in(() -> Growing.stuck(batches, guide, fuchsia, 12, TODAY.minusDays(3)));
        Map<String, VEvent> before = read(in(calendar::text));
        assertThat(before).hasSize(1);
        String id = before.keySet().iterator().next();
        assertThat(id).contains(batch.id().toString()).contains("look");
        assertThat(day(before.get(id))).isEqualTo(TODAY.plusDays(2));
        assertThat(before.get(id).getSummary().getValue()).isEqualTo(batch.code() + ": Look at 12 pieces");

        run(() -> batches.lookUnchanged(batch.code(), TODAY));
        Map<String, VEvent> after = read(in(calendar::text));
        assertThat(after.keySet()).isEqualTo(before.keySet());
        assertThat(day(after.get(id))).isAfter(TODAY.plusDays(2));
    }

    @Test
    void theOverdueStandsOnTodayAndCareIsThereToo() throws Exception {
        run(() -> Growing.stuck(batches, guide, fuchsia, 12, TODAY.minusDays(40)));
        run(() -> care.course(
                new Subject(
                        Subject.Kind.STOCK,
                        fuchsia.id(),
                        fuchsia.code(),
                        fuchsia.place().id()),
                "treated; soap, and water",
                "mealybug",
                List.of(TODAY.plusDays(4), TODAY.plusDays(14)),
                TODAY.plusDays(24)));

        Map<String, VEvent> entries = read(in(calendar::text));
        assertThat(entries.values())
                .extracting(CalendarTest::day)
                .containsExactlyInAnyOrder(TODAY, TODAY.plusDays(4), TODAY.plusDays(14));
        assertThat(entries.values())
                .extracting(e -> e.getSummary().getValue())
                .as("commas and semicolons come through")
                .contains(fuchsia.code() + ": treated; soap, and water, 1 of 2");
    }

    @Test
    void aPrivateAddressOpensItsNurseryUntilItIsWithdrawn() throws Exception {
        BatchView batch = in(() -> Growing.stuck(batches, guide, fuchsia, 12, TODAY.minusDays(3)));
        String token = in(() -> feeds.make("the phone"));
        String other = elsewhere(() -> feeds.make("their phone"));

        String text = pages.perform(MockMvcRequestBuilders.get("/calendar/feed/" + token + ".ics"))
                .andExpect(MockMvcResultMatchers.status().isOk())
                .andExpect(MockMvcResultMatchers.content().contentTypeCompatibleWith("text/calendar"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(text).contains(batch.code());
        assertThat(pages.perform(MockMvcRequestBuilders.get("/calendar/feed/" + other + ".ics"))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .contains("BEGIN:VCALENDAR")
                .doesNotContain(batch.code());

        Feed.FeedView mine = in(feeds::list).get(0);
        assertThatThrownBy(() -> elsewhere(() -> {
                    feeds.withdraw(mine.id());
                    return null;
                }))
                .isInstanceOf(NotFound.class);
        run(() -> feeds.withdraw(mine.id()));
        pages.perform(MockMvcRequestBuilders.get("/calendar/feed/" + token + ".ics"))
                .andExpect(MockMvcResultMatchers.status().isNotFound());
    }

    @Test
    void nobodyReadsItWithoutAnAddressOrASignIn() throws Exception {
        for (String path : List.of("/calendar", "/calendar/download")) {
            pages.perform(MockMvcRequestBuilders.get(path))
                    .andExpect(MockMvcResultMatchers.status().is3xxRedirection());
        }
        pages.perform(MockMvcRequestBuilders.get("/calendar/feed/" + "A".repeat(43) + ".ics"))
                .andExpect(MockMvcResultMatchers.status().isNotFound());
        pages.perform(MockMvcRequestBuilders.post("/calendar/feed/" + "A".repeat(43) + ".ics"))
                .andExpect(MockMvcResultMatchers.status().is4xxClientError());
    }

    @Test
    void addressesHaveANameAndEnd() {
        assertThatThrownBy(() -> in(() -> feeds.make(" ")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("which calendar");
        for (int i = 0; i < 20; i++) {
            run(() -> feeds.make("one of many"));
        }
        assertThatThrownBy(() -> in(() -> feeds.make("one more")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("withdraw one first");
        assertThat(in(feeds::list)).hasSize(20);
    }

    private static Map<String, VEvent> read(String text) throws Exception {
        Map<String, VEvent> entries = new TreeMap<>();
        for (Object c : new CalendarBuilder().build(new StringReader(text)).getComponents()) {
            VEvent event = (VEvent) c;
            String id = event.getUid().orElseThrow().getValue();
            assertThat(entries.put(id, event)).as("two entries of one id").isNull();
        }
        return entries;
    }

    private static LocalDate day(VEvent event) {
        DtStart<?> start = event.<DtStart<?>>getProperty("DTSTART").orElseThrow();
        return LocalDate.from(start.getDate());
    }
}
