package garden.vivarium.app.round;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.time.LocalDate;

/** A thing of the round that somebody put off to a day. */
@Entity
class PutOff extends NurseryRow {

    private String item;
    private LocalDate until;
    private String word;
    private String personName;

    protected PutOff() {}

    PutOff(String item) {
        this.item = item;
    }

    void to(LocalDate day, String why, String person) {
        until = day;
        word = why;
        personName = person;
    }

    String item() {
        return item;
    }

    LocalDate until() {
        return until;
    }

    /** Why, in a word, or null. */
    String word() {
        return word;
    }

    String personName() {
        return personName;
    }
}
