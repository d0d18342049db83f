package garden.vivarium.app.platform;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.hibernate.cfg.AvailableSettings;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.springframework.boot.autoconfigure.orm.jpa.HibernatePropertiesCustomizer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/**
 * The nursery whose rows may be read and written: that of the signed-in person, or the one that work without a request was
 * started for. Without either, a nursery that holds nothing. It is fixed when a transaction begins.
 */
@Component
public class CurrentNursery implements CurrentTenantIdentifierResolver<UUID>, HibernatePropertiesCustomizer {

    /** The nursery of nobody. No row carries it, since every table's foreign key would refuse it. */
    public static final UUID NONE = new UUID(0, 0);

    private static final ThreadLocal<UUID> WORKING_FOR = new ThreadLocal<>();

    @Override
    public UUID resolveCurrentTenantIdentifier() {
        return id().orElse(NONE);
    }

    @Override
    public boolean validateExistingCurrentSessions() {
        return true;
    }

    @Override
    public void customize(Map<String, Object> properties) {
        properties.put(AvailableSettings.MULTI_TENANT_IDENTIFIER_RESOLVER, this);
    }

    /** The nursery, if there is one. */
    public Optional<UUID> id() {
        if (WORKING_FOR.get() != null) {
            return Optional.of(WORKING_FOR.get());
        }
        return person().map(SignedIn::nurseryId);
    }

    /** The nursery, where there must be one. */
    public UUID required() {
        return id().orElseThrow(() -> new IllegalStateException("nobody is signed in"));
    }

    /** The person signed in. */
    public Optional<SignedIn> person() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who != null && who.getPrincipal() instanceof SignedIn s ? Optional.of(s) : Optional.empty();
    }

    /** Does work for a nursery outside a request, such as filling the demo. */
    public <T> T workingFor(UUID nursery, Supplier<T> work) {
        UUID before = WORKING_FOR.get();
        WORKING_FOR.set(nursery);
        try {
            return work.get();
        } finally {
            if (before == null) {
                WORKING_FOR.remove();
            } else {
                WORKING_FOR.set(before);
            }
        }
    }
}
