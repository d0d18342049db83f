package garden.vivarium.app.batch;

import garden.vivarium.app.platform.RowsBroughtUp;
import garden.vivarium.core.treatment.Treatments;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Treatments that an earlier version stored in words are read once and stored as codes. Trays of a trial had what it asks among their
 * treatments: that is taken out, and the trial is a field of the batch.
 */
@Component
class TreatmentsRead implements RowsBroughtUp {

    private static final String OF_ALL =
            "select b.id, b.treatment, t.id, case when t.id is null then null else concat_ws(', ', t.first_arm, t.second_arm, t.third_arm, t.fourth_arm) end from batch b left join trial_tray y on y.batch_id = b.id"
                    + " left join trial t on t.id = y.trial_id";

    private record Words(UUID id, String treatment, UUID trial, String arms) {}

    /** Of all nurseries where none is named. */
    @Override
    public void bringUp(Connection database, UUID nursery) throws SQLException {
        List<Words> all = new ArrayList<>();
        try (PreparedStatement asked =
                database.prepareStatement(OF_ALL + (nursery == null ? "" : " where b.nursery_id = ?"))) {
            if (nursery != null) {
                asked.setString(1, nursery.toString());
            }
            try (ResultSet rows = asked.executeQuery()) {
                while (rows.next()) {
                    String trial = rows.getString(3);
                    all.add(new Words(
                            UUID.fromString(rows.getString(1)),
                            rows.getString(2),
                            trial == null ? null : UUID.fromString(trial),
                            rows.getString(4)));
                }
            }
        }
        try (PreparedStatement batch =
                        database.prepareStatement("update batch set treatment = ?, trial_id = ? where id = ?");
                PreparedStatement evidence = database.prepareStatement(
                        "update evidence_batch set treatment = ?, of_trial = ? where batch_id = ?")) {
            for (Words w : all) {
                String code = code(w.treatment(), w.arms());
                batch.setString(1, code);
                batch.setString(2, w.trial() == null ? null : w.trial().toString());
                batch.setString(3, w.id().toString());
                batch.addBatch();
                evidence.setString(1, code);
                evidence.setBoolean(2, w.trial() != null);
                evidence.setString(3, w.id().toString());
                evidence.addBatch();
            }
            if (!all.isEmpty()) {
                batch.executeBatch();
                evidence.executeBatch();
            }
        }
        ofNeighbours(database, nursery);
    }

    private void ofNeighbours(Connection database, UUID nursery) throws SQLException {
        String here = nursery == null ? "" : " and nursery_id = ?";
        try (PreparedStatement asked = database.prepareStatement(
                        "select distinct treatment from neighbour_way where treatment <> ''" + here);
                PreparedStatement now = database.prepareStatement(
                        "update neighbour_way set treatment = ? where treatment = ?" + here)) {
            if (nursery != null) {
                asked.setString(1, nursery.toString());
                now.setString(3, nursery.toString());
            }
            try (ResultSet rows = asked.executeQuery()) {
                while (rows.next()) {
                    String code = code(rows.getString(1), null);
                    if (!code.equals(rows.getString(1))) {
                        now.setString(1, code);
                        now.setString(2, rows.getString(1));
                        now.executeUpdate();
                    }
                }
            }
        }
    }

    /** What words say, without those of a trial. */
    static String code(String words, String arms) {
        if (arms == null) {
            return Treatments.stored(words).code();
        }
        // A way's name may have had a semicolon in it, and so was torn.
        Set<String> torn = Arrays.stream(arms.contains(";") ? arms.split("[;,]") : new String[0])
                .map(TreatmentsRead::plain)
                .collect(Collectors.toSet());
        return Treatments.stored(Arrays.stream(words.split(";"))
                        .filter(part -> !plain(part).startsWith("trial: ") && !torn.contains(plain(part)))
                        .collect(Collectors.joining("; ")))
                .code();
    }

    private static String plain(String words) {
        return words.strip().toLowerCase(Locale.ROOT);
    }
}
