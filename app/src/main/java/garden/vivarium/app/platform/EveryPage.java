package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import org.springframework.beans.propertyeditors.StringTrimmerEditor;
import org.springframework.ui.Model;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What the head of every page needs. */
@ControllerAdvice
class EveryPage {

    private final CurrentNursery nursery;
    private final Today today;
    private final Assets assets;

    private final ScriptMessages scripts;

    EveryPage(CurrentNursery nursery, Today today, Assets assets, ScriptMessages scripts) {
        this.nursery = nursery;
        this.today = today;
        this.assets = assets;
        this.scripts = scripts;
    }

    /** The same for a page that is shown in place of the one asked for. */
    void fill(Model model, HttpServletRequest request) {
        model.addAttribute("here", here(request));
        model.addAttribute("today", today());
        model.addAttribute("nurseryName", nurseryName());
        model.addAttribute("who", who());
        model.addAttribute("readsOnly", readsOnly(request));
        model.addAttribute("assets", assets());
        model.addAttribute("svg", svg());
        model.addAttribute("scriptMessages", scriptMessages());
    }

    @ModelAttribute("here")
    String here(HttpServletRequest request) {
        String path = request.getRequestURI();
        if (path.startsWith("/batches") || path.startsWith("/waiting") || path.startsWith("/stands")) {
            return "benches";
        }
        if (path.startsWith("/promises")) {
            return "plan";
        }
        if (path.startsWith("/calendar")) {
            return "round";
        }
        if (path.startsWith("/guide") || path.startsWith("/sums") || path.startsWith("/records")) {
            return "shed";
        }
        return path.length() > 1 ? path.substring(1).split("/")[0] : "";
    }

    @ModelAttribute("today")
    LocalDate today() {
        return today.date();
    }

    @ModelAttribute("nurseryName")
    String nurseryName() {
        return nursery.id().map(today::nurseryName).orElse("Vivarium");
    }

    @ModelAttribute("who")
    SignedIn who() {
        return nursery.person().orElse(null);
    }

    /** Whether what is asked for is shown to somebody who may change nothing of it; under People everybody may leave. */
    @ModelAttribute("readsOnly")
    boolean readsOnly(HttpServletRequest request) {
        return nursery.person().filter(p -> p.role().isReader()).isPresent()
                && !here(request).equals("people");
    }

    @ModelAttribute("assets")
    Assets assets() {
        return assets;
    }

    @ModelAttribute("scriptMessages")
    String scriptMessages() {
        return scripts.address();
    }

    @ModelAttribute("svg")
    Svg svg() {
        return new Svg();
    }

    /** Empty fields mean "not said", and blanks round a word mean nothing. */
    @InitBinder
    void trim(WebDataBinder binder) {
        binder.registerCustomEditor(String.class, new StringTrimmerEditor(true));
    }
}
