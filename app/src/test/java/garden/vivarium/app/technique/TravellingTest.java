package garden.vivarium.app.technique;

import static garden.vivarium.app.platform.FormToken.csrf;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.evidence.NeighbourBook;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.evidence.Closeness;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;

/** Technique travels: given by one nursery without names, read in by another, counted, shown, and taken out again. */
class TravellingTest extends AtANursery {

    @Autowired
    private MockMvc pages;

    @Autowired
    private NeighbourBook neighbours;

    private static SignedIn at(UUID nursery) {
        return new SignedIn(UUID.randomUUID(), nursery, "somebody", "Grower", "");
    }

    private UUID giver() {
        UUID giver = Nurseries.make(people).id();
        current.workingFor(giver, () -> {
            StockPlantView theirs = Growing.stockPlant(stock, "Fuchsia ‘Secret Name’");
            for (int i = 0; i < 6; i++) {
                int age = 80 + 20 * i;
                BatchView b = batches.make(Growing.newBatch(
                        guide.protocol("tip-in-plugs").orElseThrow(),
                        theirs,
                        24,
                        TODAY.minusDays(age),
                        TODAY.minusDays(age)));
                batches.look(b.code(), Growing.count(TODAY.minusDays(age - 30L), 9, 15));
            }
            return null;
        });
        return giver;
    }

    private byte[] given(UUID giver) throws Exception {
        return pages.perform(get("/technique/neighbours/technique.json")
                        .param("from", "=A nursery by the sea")
                        .with(user(at(giver))))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    private void read(byte[] file) throws Exception {
        pages.perform(multipart("/technique/neighbours")
                        .file(new MockMultipartFile("file", "technique.json", "application/json", file))
                        .with(user(at(nursery)))
                        .with(csrf()))
                .andExpect(redirectedUrl("/technique/neighbours"));
    }

    private StrikeRate strike() {
        return in(() -> evidence.record()
                .strike(Way.of(
                        fuchsia.plant().grown(),
                        "tip cutting",
                        guide.protocol("tip-in-plugs").orElseThrow().medium(),
                        guide.protocol("tip-in-plugs").orElseThrow().technique().treatment(),
                        java.util.Optional.empty())));
    }

    @Test
    void whatAnotherFoundCountsHereUntilItIsTakenOut() throws Exception {
        byte[] file = given(giver());
        assertThat(new String(file, StandardCharsets.UTF_8))
                .contains("\"format\" : 1")
                .contains("tip cutting")
                .contains("\"of\" : 24")
                .doesNotContain("Secret Name")
                .doesNotContain("Grower");
        finished(20, 16, 90);
        StrikeRate before = strike();

        read(file);
        StrikeRate with = strike();
        assertThat(with.shares()).extracting(StrikeRate.Share::closeness).contains(Closeness.NEIGHBOURS);
        assertThat(with.mean()).as("they fared worse").isLessThan(before.mean());
        assertThat(elsewhere(() -> evidence.record().neighbours().isEmpty())).isTrue();
        assertThat(in(() -> neighbours.sources()))
                .singleElement()
                .satisfies(s -> assertThat(s.name()).isEqualTo("=A nursery by the sea"))
                // Batches of the dark months are not given.
                .satisfies(s -> assertThat(s.pieces() % 24).isZero())
                .satisfies(s -> assertThat(s.pieces()).isBetween(24L, 144L));
        String page = pages.perform(get("/technique/neighbours").with(user(at(nursery))))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(page).contains("A nursery by the sea").contains("On the one way that both have done");

        UUID source = in(() -> neighbours.sources().get(0).file());
        pages.perform(post("/technique/neighbours/" + source + "/out")
                        .with(user(at(Nurseries.make(people).id())))
                        .with(csrf()))
                .andExpect(status().isNotFound());
        pages.perform(post("/technique/neighbours/" + source + "/out")
                        .with(user(at(nursery)))
                        .with(csrf()))
                .andExpect(redirectedUrl("/technique/neighbours"));
        assertThat(strike()).isEqualTo(before);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "nonsense",
                "[]",
                "{}",
                "null",
                "{\"format\":2,\"what\":\"technique\",\"from\":\"\",\"ways\":[]}",
                "{\"format\":1,\"what\":\"technique\",\"from\":\"\",\"ways\":[]}",
                "{\"format\":1,\"what\":\"technique\",\"from\":\"\",\"ways\":[null]}",
                "{\"format\":1,\"what\":\"technique\",\"from\":\"\",\"ways\":[{\"kind\":\"k\",\"group\":\"g\",\"method\":\"m\",\"medium\":\"w\",\"treatment\":\"\",\"steps\":[],\"batches\":[{\"kept\":3,\"of\":2}]}]}",
                "{\"format\":1,\"what\":\"technique\",\"from\":\"\",\"ways\":[{\"kind\":\"k\",\"group\":\"g\",\"method\":\"m\",\"medium\":\"w\",\"treatment\":\"\",\"steps\":[],\"batches\":[{\"kept\":null,\"of\":2}]}]}"
            })
    void whatIsNoTechniqueIsRefusedInWords(String file) {
        assertThatThrownBy(() -> TechniqueFile.read(file.getBytes(StandardCharsets.UTF_8))
                        .given())
                .isInstanceOf(InvalidField.class);
    }
}
