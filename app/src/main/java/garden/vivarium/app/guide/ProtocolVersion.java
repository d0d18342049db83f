package garden.vivarium.app.guide;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.guide.KeptProtocol;
import garden.vivarium.core.guide.Protocol;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import java.time.Instant;

/** A version of a protocol, kept whole. Only withdrawing it changes it. */
@Entity
class ProtocolVersion extends NurseryRow {

    private String protocolKey;
    private int version;
    private String title;

    @Column(columnDefinition = "longtext")
    private String content;

    private boolean own;
    private boolean withdrawn;
    private String basedOn;
    private String reason;
    private String personName;
    private Instant madeAt;

    protected ProtocolVersion() {}

    ProtocolVersion(Protocol protocol, String basedOn, String reason, String person, Instant madeAt) {
        this.protocolKey = protocol.key();
        this.version = protocol.version();
        this.title = protocol.title();
        this.content = KeptProtocol.write(protocol);
        this.own = protocol.isOwn();
        this.basedOn = basedOn;
        this.reason = reason;
        this.personName = person;
        this.madeAt = madeAt;
    }

    String protocolKey() {
        return protocolKey;
    }

    int version() {
        return version;
    }

    String content() {
        return content;
    }

    String basedOn() {
        return basedOn;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }

    void withdrawn(boolean gone) {
        withdrawn = gone;
    }

    VersionView view() {
        return new VersionView(protocolKey, version, title, own, withdrawn, basedOn, reason, personName, madeAt);
    }
}
