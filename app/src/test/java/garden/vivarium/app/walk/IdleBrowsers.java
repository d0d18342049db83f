package garden.vivarium.app.walk;

import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Store.CloseableResource;

/** Ends browsers that nobody uses once the last test is over: later, their drivers may be gone before they could be told. */
class IdleBrowsers implements BeforeAllCallback {

    @Override
    public void beforeAll(ExtensionContext context) {
        context.getRoot().getStore(ExtensionContext.Namespace.GLOBAL).getOrComputeIfAbsent(IdleBrowsers.class, k ->
                (CloseableResource) Browser::endIdle);
    }
}
