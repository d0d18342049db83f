package garden.vivarium.app.platform;

import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * Writes beside what a form asked for, and in the same transaction, that it is done. Where the database or the node dies before it is
 * said, nobody needs to guess later whether it was.
 */
@Component
class KeptForms implements TransactionExecutionListener {

    private static final String OURS = "garden.vivarium";

    private final SentForms forms;

    KeptForms(SentForms forms) {
        this.forms = forms;
    }

    /** By the name of their method: a session is written too while a form is, and says nothing of it. */
    @Override
    public void beforeCommit(TransactionExecution transaction) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null
                && !transaction.isReadOnly()
                && transaction.getTransactionName().startsWith(OURS)
                && request.getAttribute(OnceOnly.TAKEN, RequestAttributes.SCOPE_REQUEST)
                        instanceof SentForms.Form taken) {
            forms.kept(taken);
        }
    }
}
