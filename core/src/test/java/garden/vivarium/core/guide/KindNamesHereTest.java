package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.naming.NameReading;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Names that a nursery has given to plants that the guide does not know by them. */
class KindNamesHereTest {

    private static final Guide GUIDE = Guide.load();
    private static final PlantKind POTHOS = GUIDE.kind("pothos").orElseThrow();
    private static final PlantKind IRIS = GUIDE.kind("bearded-iris").orElseThrow();

    private final KindNamesHere names =
            new KindNamesHere(GUIDE.names(), Map.of("quayside creeper", POTHOS, "german ivy", POTHOS));

    @Test
    void aNameOfOnesOwnIsFoundSeveralAndMisspelt() {
        assertThat(names.read("quayside creeper").taken()).contains(POTHOS);
        assertThat(names.read("12 Quayside creepers").taken()).contains(POTHOS);
        assertThat(names.read("quaysdie creeper").taken()).contains(POTHOS);
        assertThat(names.read("quayside rambler")).isInstanceOf(NameReading.Unknown.class);
    }

    @Test
    void itGoesBeforeTheGuidesOwnQuestion() {
        assertThat(GUIDE.names().read("german ivy").taken()).isEmpty();
        assertThat(names.read("german ivy").taken()).contains(POTHOS);
        assertThat(names.read("German iris").taken()).contains(IRIS);
    }

    @Test
    void aKindOfOnesOwnThatDoesNotStandHereIsWanted() {
        StockNames<String> stock = new StockNames<>(
                GUIDE,
                List.of(new StockNames.Standing<>("IRI-1", "Iris ‘Groyne’", "bearded-iris", "rhizome")),
                Map.of("quayside creeper", POTHOS));

        assertThat(stock.read("6 quayside creepers").wanted()).contains(POTHOS);
        assertThat(stock.read("6 irises").taken()).contains("IRI-1");
        assertThat(stock.isOf(List.of(), Map.of())).isFalse();
    }
}
