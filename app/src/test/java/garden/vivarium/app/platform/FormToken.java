package garden.vivarium.app.platform;

import com.jayway.jsonpath.JsonPath;
import jakarta.servlet.ServletContext;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import org.springframework.web.context.support.WebApplicationContextUtils;

/**
 * A form's token as a browser brings it: in its cookie, and masked in the form. The one of Spring's own tests keeps tokens otherwise from its
 * first use on, for the whole application and whoever has a page of it open.
 */
public final class FormToken {

    private FormToken() {}

    public static RequestPostProcessor csrf() {
        return request -> {
            String token = UUID.randomUUID().toString();
            Cookie[] others = request.getCookies() == null ? new Cookie[0] : request.getCookies();
            request.setCookies(Stream.concat(Stream.of(others), Stream.of(new Cookie(nameFor(request, "form"), token)))
                    .toArray(Cookie[]::new));
            request.setParameter("_csrf", masked(token));
            return request;
        };
    }

    /** The token of somebody signed in, which belongs to their session. */
    public static RequestPostProcessor of(Cookie session, MockMvc pages) throws Exception {
        String said = pages.perform(MockMvcRequestBuilders.get("/session/token").cookie(session))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String token = JsonPath.read(said, "$.token");
        String header = JsonPath.read(said, "$.header");
        return request -> {
            request.addHeader(header, token);
            return request;
        };
    }

    /** What the cookie of a session is called where MockMvc asks. */
    public static String sessionCookie(MockMvc pages) {
        ServletContext context = pages.getDispatcherServlet().getServletContext();
        return nameFor(new MockHttpServletRequest(context), "");
    }

    private static String nameFor(MockHttpServletRequest request, String purpose) {
        return WebApplicationContextUtils.getRequiredWebApplicationContext(request.getServletContext())
                .getBean(CookieNames.class)
                .of(purpose, request);
    }

    /** The form of the sign-in page, sent. */
    public static MockHttpServletRequestBuilder signIn(String name, String password) {
        return MockMvcRequestBuilders.post("/sign-in")
                .with(csrf())
                .param("signIn", name)
                .param("password", password);
    }

    /** As {@code XorCsrfTokenRequestAttributeHandler} reads it: random bytes, and the token combined with them; here with none set. */
    private static String masked(String token) {
        byte[] of = token.getBytes(StandardCharsets.UTF_8);
        byte[] masked = new byte[2 * of.length];
        System.arraycopy(of, 0, masked, of.length, of.length);
        return Base64.getUrlEncoder().encodeToString(masked);
    }
}
