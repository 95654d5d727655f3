package org.stratopneum.web.door.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.ServletException;
import java.sql.SQLException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.mockito.Mockito;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.TransactionSystemException;
import org.stratopneum.web.platform.wording.Wording;
import org.thymeleaf.ITemplateEngine;

/** SQL states: PostgreSQL, appendix A. */
class DatabaseAwayFilterTest {

    private final DatabaseAwayFilter filter = new DatabaseAwayFilter(Mockito.mock(ITemplateEngine.class), words());

    private static Wording words() {
        Wording words = Mockito.mock(Wording.class);
        Mockito.when(words.text(Mockito.anyString())).thenAnswer(call -> call.getArgument(0));
        return words;
    }

    static Stream<Exception> whatIsNobodysFault() {
        return Stream.of(
                new SQLException("connection failure", "08006"),
                new SQLException("terminating connection due to unexpected postmaster exit", "57P02"),
                new SQLException("No space left on device", "53100"),
                new SQLException("sorry, too many clients already", "53300"),
                new SQLException("Connection is closed"));
    }

    private MockHttpServletResponse answered(Exception why) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/api/v1/log");
        MockHttpServletResponse response = new MockHttpServletResponse();
        filter.doFilter(request, response, (asked, answer) -> {
            throw new ServletException(why);
        });
        return response;
    }

    @ParameterizedTest
    @MethodSource("whatIsNobodysFault")
    void isToldAsSuch(Exception why) throws Exception {
        for (Exception wrapped : new Exception[] {
            why,
            new DataAccessResourceFailureException("commit", why),
            new TransactionSystemException("JDBC rollback failed", why)
        }) {
            MockHttpServletResponse response = answered(wrapped);
            assertThat(response.getStatus()).as(wrapped.toString()).isEqualTo(503);
            assertThat(response.getHeader("Retry-After")).isNotNull();
        }
    }

    @Test
    void anythingElseIsAFault() {
        for (Exception fault : new Exception[] {
            new IllegalStateException("ours"), new SQLException("unique", "23505"), new SQLException("odd")
        }) {
            assertThatThrownBy(() -> answered(fault)).isInstanceOf(ServletException.class);
        }
    }
}
