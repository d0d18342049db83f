package garden.vivarium.app.diagnosis;

import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Symptom;
import garden.vivarium.core.watch.Diagnosis;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** "What is wrong with it?" */
@Controller
@RequestMapping("/wrong")
class DiagnosisController {

    private final Patients patients;
    private final CareBook care;
    private final Guide guide;
    private final Today today;

    DiagnosisController(Patients patients, CareBook care, Guide guide, Today today) {
        this.patients = patients;
        this.care = care;
        this.guide = guide;
        this.today = today;
    }

    @GetMapping
    String ask(
            @RequestParam(required = false) String batch,
            @RequestParam(required = false) UUID stock,
            @RequestParam(required = false) String seen,
            Model model) {
        Patient patient = patients.of(batch, stock);
        Symptom.Where where =
                patient.subject().kind() == Subject.Kind.BATCH ? Symptom.Where.PIECE : Symptom.Where.STOCK;
        List<Symptom> offered =
                guide.symptoms().stream().filter(s -> s.on().contains(where)).toList();
        model.addAttribute("here", patient.subject().kind() == Subject.Kind.BATCH ? "benches" : "stock");
        model.addAttribute("patient", patient);
        model.addAttribute("batch", batch);
        model.addAttribute("stock", stock);
        model.addAttribute("symptoms", offered);
        model.addAttribute("record", care.record());
        if (seen != null) {
            Symptom symptom = offered.stream()
                    .filter(s -> s.key().equals(seen))
                    .findFirst()
                    .orElseThrow(() -> new NotFound(Messages.text("DiagnosisController.no.such.sign")));
            Diagnosis diagnosis = Diagnosis.of(symptom, patient.circumstances());
            model.addAttribute("diagnosis", diagnosis);
            model.addAttribute("guide", guide);
        }
        return "diagnosis/wrong";
    }

    @PostMapping
    String done(
            @RequestParam(required = false) String batch,
            @RequestParam(required = false) UUID stock,
            @RequestParam String seen,
            @RequestParam int cause,
            RedirectAttributes next) {
        Patient patient = patients.of(batch, stock);
        Symptom symptom =
                guide.symptom(seen).orElseThrow(() -> new NotFound(Messages.text("DiagnosisController.no.such.sign")));
        if (cause < 0
                || cause >= symptom.causes().size()
                || symptom.causes().get(cause).normal()) {
            throw new NotFound(Messages.text("DiagnosisController.nothing.to.log.there"));
        }
        Symptom.Cause chosen = symptom.causes().get(cause);
        return FormActions.run(next, patient.subject().sheet(), () -> {
            care.did(patient.subject(), chosen.care(), seen, chosen.cause(), today.date(), chosen.askAfter());
            return Messages.text(
                    "DiagnosisController.logged.days.round.asks", "care", chosen.care(), "askAfter", chosen.askAfter());
        });
    }
}
