package garden.vivarium.app.guide;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.ProtocolKey;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.KeptProtocol;
import garden.vivarium.core.guide.Protocol;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Protocols of the guide and of the nursery's own, as they are now and as batches were stuck under them. */
@Service
public class Protocols {

    private static final int LONGEST_NAME = 40;

    private final ProtocolVersionRepository versions;
    private final Guide guide;
    private final CurrentNursery nursery;
    private final Seen seen;
    private final Today today;
    // A kept version never changes, so that its text is read once.
    private final Map<Kept, Protocol> read = new ConcurrentHashMap<>();

    Protocols(ProtocolVersionRepository versions, Guide guide, CurrentNursery nursery, Seen seen, Today today) {
        this.versions = versions;
        this.guide = guide;
        this.nursery = nursery;
        this.seen = seen;
        this.today = today;
    }

    private record Kept(UUID nursery, String key, int version) {}

    /** The protocols that suit the group now: the nursery's own first, then the guide's. */
    @Transactional(readOnly = true)
    public List<Protocol> suiting(String group) {
        return Stream.concat(own().stream().filter(p -> p.groups().contains(group)), guide.suiting(group).stream())
                .toList();
    }

    /** The newest versions of the nursery's own protocols that stand. */
    @Transactional(readOnly = true)
    public List<Protocol> own() {
        return versions.newestOwn().stream()
                .filter(v -> !v.isWithdrawn())
                .map(this::protocol)
                .toList();
    }

    /** The protocol of the key as it is now. */
    @Transactional(readOnly = true)
    public Optional<Protocol> current(String key) {
        return ProtocolKey.isOwn(key)
                ? versions.findByProtocolKeyOrderByVersionDesc(key).stream()
                        .findFirst()
                        .map(this::protocol)
                : guide.protocol(key);
    }

    /** A version of a protocol as batches were stuck under it. */
    @Transactional(readOnly = true)
    public Optional<Protocol> version(String key, int version) {
        Optional<Protocol> shipped = guide.protocol(key).filter(p -> p.version() == version);
        if (shipped.isPresent()) {
            return shipped;
        }
        Protocol known = read.get(new Kept(nursery.required(), key, version));
        return known != null
                ? Optional.of(known)
                : versions.findByProtocolKeyAndVersion(key, version).map(this::protocol);
    }

    /** All kept versions of a protocol, the newest first. */
    @Transactional(readOnly = true)
    public List<VersionView> versions(String key) {
        return versions.findByProtocolKeyOrderByVersionDesc(key).stream()
                .map(ProtocolVersion::view)
                .toList();
    }

    /** Keeps the version under which a batch is stuck, so that no later guide changes what the batch goes by. */
    @Transactional
    public void keep(Protocol protocol) {
        if (versions.findByProtocolKeyAndVersion(protocol.key(), protocol.version())
                .isEmpty()) {
            versions.save(new ProtocolVersion(protocol, null, null, person(), today.now()));
        }
    }

    /**
     * Copies a protocol under a name of the nursery's own.
     *
     * @throws InvalidField if the name is empty, too long or taken
     */
    @Transactional
    public Protocol copy(String key, String name) {
        Protocol source = current(key).orElseThrow(() -> new NotFound(Messages.text("Protocols.no.such.protocol")));
        String plain = name == null ? "" : name.strip().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
        plain = plain.replaceAll("^-+|-+$", "");
        if (plain.isEmpty() || plain.length() > LONGEST_NAME) {
            throw new InvalidField("name", Messages.text("Protocols.give.your.copy.name", "longestName", LONGEST_NAME));
        }
        if (!versions.findByProtocolKeyOrderByVersionDesc(ProtocolKey.own(plain))
                .isEmpty()) {
            throw new InvalidField("name", Messages.text("Protocols.taken.give.another.name", "name", name.strip()));
        }
        Protocol own = source.asOwn(plain, name.strip());
        versions.save(new ProtocolVersion(own, key, "copied from " + source.title(), person(), today.now()));
        return own;
    }

    /**
     * Writes a new version of a protocol of the nursery's own. Batches keep the version they were stuck under.
     *
     * @throws InvalidField if it is not the nursery's own, or nothing differs
     */
    @Transactional
    public Protocol change(Protocol changed, String reason) {
        List<ProtocolVersion> known = versions.findByProtocolKeyOrderByVersionDesc(changed.key());
        if (!changed.isOwn() || known.isEmpty()) {
            throw new InvalidField("title", Messages.text("Protocols.guide.s.own.protocols"));
        }
        ProtocolVersion newest = known.get(0);
        seen.check(
                "protocol " + changed.key(),
                newest.version(),
                () -> Messages.text(
                        "Protocols.version.was.written",
                        "version",
                        newest.version(),
                        "person",
                        newest.view().person(),
                        "reason",
                        newest.view().reason()));
        Protocol before = protocol(newest);
        if (before.equals(changed.asVersion(before.version()))) {
            throw new InvalidField(
                    "title", Messages.text("Protocols.nothing.differs.from.version", "version", before.version()));
        }
        Protocol next = changed.asVersion(before.version() + 1);
        versions.save(new ProtocolVersion(next, newest.basedOn(), reason, person(), today.now()));
        return next;
    }

    /** Takes a protocol of the nursery's own out of what is offered, or puts it back. Its batches keep it. */
    @Transactional
    public void withdraw(String key, boolean gone) {
        versions.findByProtocolKeyOrderByVersionDesc(key).stream()
                .findFirst()
                .filter(v -> ProtocolKey.isOwn(key))
                .orElseThrow(() -> new NotFound(Messages.text("Protocols.no.such.protocol.of.your")))
                .withdrawn(gone);
    }

    private Protocol protocol(ProtocolVersion v) {
        return read.computeIfAbsent(
                new Kept(nursery.required(), v.protocolKey(), v.version()), k -> KeptProtocol.read(v.content()));
    }

    private String person() {
        return nursery.person().map(SignedIn::name).orElse("Vivarium");
    }
}
