package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import java.time.Instant;

/** A file between its preview and its being kept. */
@Entity
class Upload extends NurseryRow {

    private String kind;
    private String name;

    @Column(columnDefinition = "longtext")
    private String content;

    private Instant madeAt;

    protected Upload() {}

    Upload(String kind, String name, String content, Instant madeAt) {
        this.kind = kind;
        this.name = name;
        this.content = content;
        this.madeAt = madeAt;
    }

    String kind() {
        return kind;
    }

    String name() {
        return name;
    }

    String content() {
        return content;
    }
}
