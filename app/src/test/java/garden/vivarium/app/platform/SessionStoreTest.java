package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

@OnDatabase
class SessionStoreTest {

    @Autowired
    private SessionRepository<? extends Session> sessions;

    @Test
    void twoPagesOpenedAtOnceWriteDownTheSameAndNeitherFails() {
        assertThat(seenByBoth(sessions)).isEqualTo("second");
    }

    private static <S extends Session> String seenByBoth(SessionRepository<S> sessions) {
        S opened = sessions.createSession();
        sessions.save(opened);
        S one = sessions.findById(opened.getId());
        S other = sessions.findById(opened.getId());
        one.setAttribute("page", "first");
        other.setAttribute("page", "second");

        sessions.save(one);
        sessions.save(other);

        return sessions.findById(opened.getId()).getAttribute("page");
    }
}
