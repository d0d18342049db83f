package garden.vivarium.app.photo;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;

/** Nothing is wrong with a photograph: very many are being read, and it is to be sent again. */
class TooManyWait extends InvalidField {

    private static final long serialVersionUID = 1L;

    TooManyWait() {
        super("file", Messages.text("Photo.waits"));
    }
}
