package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;

/** What a word of earlier files was said to mean: of which sort it is, as typed, and what is meant. */
@Entity
class LearnedWord extends NurseryRow {

    private String sort;
    private String typed;
    private String means;

    protected LearnedWord() {}

    LearnedWord(String sort, String typed, String means) {
        this.sort = sort;
        this.typed = typed;
        this.means = means;
    }

    String sort() {
        return sort;
    }

    String typed() {
        return typed;
    }

    String means() {
        return means;
    }

    void means(String other) {
        means = other;
    }
}
