package garden.vivarium.app.stock;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a nursery has made its usual way, on the strength of its own record. */
@Service
public class UsualWays {

    private static final int LONGEST_WHY = 600;

    private final UsualWayRepository usual;
    private final CurrentNursery nursery;
    private final Today today;

    UsualWays(UsualWayRepository usual, CurrentNursery nursery, Today today) {
        this.usual = usual;
        this.nursery = nursery;
        this.today = today;
    }

    /** All of them. */
    @Transactional(readOnly = true)
    public List<UsualWayView> all() {
        return usual.findAllByOrderByPlantAscFactorAsc().stream()
                .map(UsualWay::view)
                .toList();
    }

    /** Those that hold for a plant: its own, and those for all. */
    @Transactional(readOnly = true)
    public List<UsualWayView> of(String plant) {
        return all().stream()
                .filter(u -> u.plant().isEmpty() || u.plant().equals(plant))
                .toList();
    }

    /** Makes something the usual way, in place of what was so before. */
    @Transactional
    public void make(String plant, String factor, String what, String why) {
        usual.findByPlantAndFactor(plant, factor).ifPresent(u -> {
            usual.delete(u);
            usual.flush();
        });
        UsualWay now = new UsualWay(plant, factor, what);
        now.because(
                why.substring(0, Math.min(LONGEST_WHY, why.length())),
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now());
        usual.save(now);
    }

    /** It is no longer the usual way. */
    @Transactional
    public void drop(UUID id) {
        usual.delete(usual.findById(id).orElseThrow(() -> new NotFound(Messages.text("UsualWays.no.such.usual.way"))));
    }
}
