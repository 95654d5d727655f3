package org.stratopneum.web.platform.replica;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.Servlet;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.stratopneum.web.platform.site.SiteCookies;

/** What a browser is told of its own writes, and what it wants of a copy then. */
class OwnWritesTest {

    private final SiteCookies cookies = mock(SiteCookies.class);
    private final ReplicaPosition position = mock(ReplicaPosition.class);
    private final MockHttpServletRequest request = new MockHttpServletRequest("GET", "/log");
    private final MockHttpServletResponse response = new MockHttpServletResponse();

    @BeforeEach
    void oneAsks() throws SQLException {
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
        when(cookies.read(anyString(), any())).thenReturn(Optional.empty());
        when(position.written()).thenReturn(4711L);
        doAnswer(call -> {
                    call.<HttpServletResponse>getArgument(3).addHeader("Set-Cookie", "written=" + call.getArgument(1));
                    return null;
                })
                .when(cookies)
                .write(anyString(), anyString(), any(), any());
    }

    @AfterEach
    void nobodyAsks() {
        RequestContextHolder.resetRequestAttributes();
    }

    @Test
    void whoWroteNothingTakesAnyCopy() {
        assertEquals(Optional.of(0L), OwnWrites.wanted(cookies));
    }

    @Test
    void whoWroteWantsItAll() {
        when(cookies.read(anyString(), any())).thenReturn(Optional.of("4711"));
        assertEquals(Optional.of(4711L), OwnWrites.wanted(cookies));
    }

    @ParameterizedTest
    @ValueSource(strings = {"unknown", "", "-1", "99999999999999999999", "1 or 1"})
    void whatIsNoPositionIsNotTrusted(String cookie) {
        when(cookies.read(anyString(), any())).thenReturn(Optional.of(cookie));
        assertEquals(Optional.empty(), OwnWrites.wanted(cookies));
    }

    @Test
    void aRequestThatWroteGoesOnWithTheOriginal() {
        OwnWrites.happened();
        assertEquals(Optional.empty(), OwnWrites.wanted(cookies));
    }

    /** What one statement was told must not be older in the next. */
    @Test
    void aRequestThatReadTheOriginalGoesOnWithIt() {
        OwnWrites.readTheOriginal();
        assertEquals(Optional.empty(), OwnWrites.wanted(cookies));
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(new MockHttpServletRequest("GET", "/")));
        assertEquals(Optional.of(0L), OwnWrites.wanted(cookies));
    }

    @Test
    void formsScriptsAndWorkBehindThePagesAreAnsweredByTheOriginal() {
        request.setMethod("POST");
        assertEquals(Optional.empty(), OwnWrites.wanted(cookies));
        request.setMethod("GET");
        request.addHeader("Authorization", "Bearer token");
        assertEquals(Optional.empty(), OwnWrites.wanted(cookies));
        RequestContextHolder.resetRequestAttributes();
        assertEquals(Optional.empty(), OwnWrites.wanted(cookies));
    }

    @Test
    void anAnswerSaysHowFarWasWrittenThoughItLeadsElsewhere() throws ServletException, IOException {
        filter(new HttpServlet() {
            @Override
            protected void service(HttpServletRequest asked, HttpServletResponse answer) throws IOException {
                OwnWrites.happened();
                answer.sendRedirect("/");
            }
        });
        assertEquals("written=4711", response.getHeader("Set-Cookie"));
        assertEquals(1, response.getHeaders("Set-Cookie").size());
    }

    @Test
    void anAnswerWithoutAByteSaysSoToo() throws ServletException, IOException {
        filter(new HttpServlet() {
            @Override
            protected void service(HttpServletRequest asked, HttpServletResponse answer) {
                OwnWrites.happened();
                answer.setStatus(HttpServletResponse.SC_NO_CONTENT);
            }
        });
        assertEquals("written=4711", response.getHeader("Set-Cookie"));
    }

    @Test
    void whereItIsNotKnownTheOriginalAnswers() throws ServletException, IOException, SQLException {
        when(position.written()).thenThrow(new SQLException("away"));
        filter(new HttpServlet() {
            @Override
            protected void service(HttpServletRequest asked, HttpServletResponse answer) throws IOException {
                OwnWrites.happened();
                answer.getWriter().write("written");
                answer.flushBuffer();
            }
        });
        assertEquals("written=unknown", response.getHeader("Set-Cookie"));
    }

    @Test
    void whoOnlyReadsGetsNoCookie() throws ServletException, IOException {
        filter(new HttpServlet() {
            @Override
            protected void service(HttpServletRequest asked, HttpServletResponse answer) throws IOException {
                answer.getWriter().write("a page");
            }
        });
        assertEquals(0, response.getHeaders("Set-Cookie").size());
    }

    private void filter(Servlet servlet) throws ServletException, IOException {
        new OwnWritesFilter(position, cookies).doFilter(request, response, new MockFilterChain(servlet));
    }
}
