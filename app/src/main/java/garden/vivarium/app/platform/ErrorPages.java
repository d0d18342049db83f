package garden.vivarium.app.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.ModelAndView;

/** Errors as pages that say what happened and what would do. */
@Controller
@ControllerAdvice
class ErrorPages implements ErrorController {

    @RequestMapping(value = "/error", produces = MediaType.TEXT_HTML_VALUE)
    String error(HttpServletRequest request, Model model) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int status = code instanceof Integer i ? i : HttpStatus.NOT_FOUND.value();
        say(model, status);
        return "platform/error";
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    ModelAndView tooLarge() {
        ModelAndView page = new ModelAndView("platform/error", HttpStatus.PAYLOAD_TOO_LARGE);
        page.addObject("title", "That file is too large");
        page.addObject(
                "text",
                "A file of records may have 8 MB, some 100,000 lines. Split it by year and read the parts in turn.");
        page.addObject("here", "shed");
        return page;
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ModelAndView unreadable(MethodArgumentTypeMismatchException e) {
        ModelAndView page = new ModelAndView("platform/error", HttpStatus.BAD_REQUEST);
        page.addObject("title", "That cannot be read");
        page.addObject(
                "text",
                "“%s” was not understood. Go back, give it as the page shows it, and send again."
                        .formatted(e.getName()));
        page.addObject("here", "");
        return page;
    }

    private static void say(Model model, int status) {
        switch (status) {
            case 404 -> {
                model.addAttribute("title", "Nothing grows here");
                model.addAttribute(
                        "text",
                        "This address leads to nothing in this nursery. Check the code on the label, or start from the round.");
            }
            case 403 -> {
                model.addAttribute("title", "This page had gone stale");
                model.addAttribute(
                        "text",
                        "It was open while your session ended, so what it sent was not taken. Go back, load it anew and send again.");
            }
            case 400, 405, 415 -> {
                model.addAttribute("title", "That cannot be read");
                model.addAttribute(
                        "text", "Something in it was not understood. Go back, check what you typed and send again.");
            }
            default -> {
                model.addAttribute("title", "Something broke on our side");
                model.addAttribute(
                        "text",
                        "Nothing you sent was half kept: it was either stored whole or not at all. Try again; if it stays, tell whoever looks after this installation.");
            }
        }
    }
}
