package garden.vivarium.app.evidence;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.platform.StoredTreatments;
import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.Neighbours;
import garden.vivarium.core.treatment.Treatments;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;

/** A way that another nursery has given away, as it was read. */
@Entity
class NeighbourWay extends NurseryRow {

    private UUID fileId;
    private String source;
    private String kind;
    private String plantGroup;
    private String method;
    private String medium;

    @Convert(converter = StoredTreatments.class)
    private Treatments treatment;

    // "14/20 9/12": kept of judged, batch by batch.
    @Column(columnDefinition = "longtext")
    private String batches;

    @Column(columnDefinition = "longtext")
    private String steps;

    private Instant readAt;
    private String personName;

    protected NeighbourWay() {}

    NeighbourWay(UUID fileId, String source, Neighbours.Given given, List<String> steps) {
        this.fileId = fileId;
        this.source = source;
        this.kind = given.kind();
        this.plantGroup = given.group();
        this.method = given.method();
        this.medium = given.medium();
        this.treatment = given.treatment();
        this.batches = given.batches().stream()
                .map(b -> "%d/%d".formatted(Math.round(b.kept()), Math.round(b.of())))
                .collect(Collectors.joining(" "));
        this.steps = String.join("\n", steps);
    }

    void readBy(String person, Instant now) {
        personName = person;
        readAt = now;
    }

    UUID fileId() {
        return fileId;
    }

    String source() {
        return source;
    }

    Instant readAt() {
        return readAt;
    }

    String personName() {
        return personName;
    }

    List<String> steps() {
        return steps.isEmpty() ? List.of() : List.of(steps.split("\n"));
    }

    Neighbours.Given given() {
        List<BatchCount> counts = Arrays.stream(batches.split(" "))
                .map(b -> b.split("/"))
                .map(b -> new BatchCount(Integer.parseInt(b[0]), Integer.parseInt(b[1])))
                .toList();
        return new Neighbours.Given(kind, plantGroup, method, medium, treatment, counts);
    }
}
