package garden.vivarium.app.platform;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Asked for something that this nursery does not hold; also when another one does. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotFound extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NotFound(String what) {
        super(what);
    }
}
