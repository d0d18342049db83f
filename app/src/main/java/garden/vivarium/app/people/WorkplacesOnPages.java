package garden.vivarium.app.people;

import java.util.List;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** The switch in the head of every page: the nurseries of whoever is signed in. */
@ControllerAdvice
class WorkplacesOnPages {

    private final Workplaces workplaces;

    WorkplacesOnPages(Workplaces workplaces) {
        this.workplaces = workplaces;
    }

    @ModelAttribute("workplaces")
    List<WorkplaceView> mine() {
        return workplaces.mine();
    }
}
