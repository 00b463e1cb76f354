package sparen.app.web;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.Test;

public class DatabaseAwayTest {
    private static MockHttpServletResponse answer(RuntimeException broken) throws Exception {
        FilterChain chain = (request, response) -> {
            throw new ServletException("looking up the session", broken);
        };
        MockHttpServletResponse response = new MockHttpServletResponse();
        new DatabaseAway().doFilter(new MockHttpServletRequest(), response, chain);
        return response;
    }

    /** The session is looked up before anything of ours runs: there too the answer says when to try again, and as a problem. */
    @Test
    public void aSessionThatCannotBeLookedUpSaysWhenToTryAgain() throws Exception {
        MockHttpServletResponse response = answer(new CannotGetJdbcConnectionException("none left"));
        assertEquals(response.getStatus(), 503);
        assertEquals(response.getHeader("Retry-After"), "5");
        assertTrue(response.getContentAsString().contains("urn:sparen:problem:database-away"));
        assertEquals(response.getContentType(), "application/problem+json;charset=UTF-8");
    }

    @Test
    public void whatElseBreaksIsNotTheDatabase() {
        expectThrows(ServletException.class, () -> answer(new IllegalStateException("a fault of ours")));
    }
}
