package garden.vivarium.app.platform;

import garden.vivarium.core.measure.UnitSystem;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * The person at the other end of a request, and the nursery they work in.
 *
 * @param personId the person
 * @param nurseryId their nursery: the tenant of every query
 * @param signInName what they sign in with
 * @param name how they are called
 * @param passwordHash as stored; never shown
 * @param role what they may do there
 * @param units in which they measure
 */
public record SignedIn(
        UUID personId, UUID nurseryId, String signInName, String name, String passwordHash, Role role, UnitSystem units)
        implements UserDetails {

    public SignedIn {
        // Sessions from before there were roles are of owners: there was nobody else.
        role = role == null ? Role.OWNER : role;
        units = units == null ? UnitSystem.METRIC : units;
    }

    /** An owner. */
    public SignedIn(UUID personId, UUID nurseryId, String signInName, String name, String passwordHash) {
        this(personId, nurseryId, signInName, name, passwordHash, Role.OWNER, UnitSystem.METRIC);
    }

    /** Whose something is that waits in a browser: this person's, in this nursery. */
    public String owner() {
        return nurseryId + "/" + personId;
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role.name()));
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return signInName;
    }

    /** Without the hash, as it is kept in the session. */
    public SignedIn withoutHash() {
        return new SignedIn(personId, nurseryId, signInName, name, "", role, units);
    }

    /** Keeps the hash out of logs. */
    @Override
    public String toString() {
        return "SignedIn[" + signInName + "]";
    }
}
