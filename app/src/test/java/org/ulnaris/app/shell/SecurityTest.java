package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Collections;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.http.MediaType;
import org.ulnaris.app.AppTest;

class SecurityTest extends AppTest {
    @LocalServerPort
    private int port;

    @ParameterizedTest
    @ValueSource(strings = {"/", "/crib", "/stock", "/nowhere", "/jobs/1/plan"})
    void strictPolicyOnEveryPage(String path) {
        assertThat(get(path).getResponse().getHeader("Content-Security-Policy"))
                .contains("default-src 'none'", "script-src 'self'", "style-src 'self'", "frame-ancestors 'none'")
                .doesNotContain("unsafe");
        assertThat(get(path).getResponse().getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
    }

    @ParameterizedTest
    @ValueSource(strings = {"evil.example", "192.168.1.7", "localhost.evil.example", "127.0.0.1.evil.example"})
    void refusesAForeignHost(String host) {
        assertThat(mvc.get().uri("http://" + host + "/").exchange()).hasStatus(421);
    }

    /** What the container refuses by itself bears the same headers, says little, and is no page of its own. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /jobs/%zz HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n",
                "GET /identify?strands=%zz HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n",
                "GET / HTTP/1.1\r\nConnection: close\r\n\r\n",
                "GET /<> HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n",
                "B\r\n\r\n"
            })
    void malformedRequestsAreRefusedInPlainWords(String request) throws Exception {
        String answer = raw(request);
        assertThat(answer)
                .startsWith("HTTP/1.1 400")
                .contains("Content-Security-Policy: default-src 'none'", "Cross-Origin-Resource-Policy: same-origin")
                .doesNotContain("Exception", "tomcat", "Tomcat");
    }

    /** A method that nothing here knows is refused before any page, with the headers of every page. */
    @Test
    void anUnknownMethodBearsTheHeaders() throws Exception {
        assertThat(raw("TRACE / HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n"))
                .startsWith("HTTP/1.1 405")
                .contains("Content-Security-Policy: default-src 'none'", "Cross-Origin-Resource-Policy: same-origin");
    }

    /** Half a form, and then nothing: the place is given back. */
    @Test
    void halfAPostDoesNotHoldItsPlace() throws Exception {
        assertThat(raw("POST /jobs HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/x-www-form-urlencoded\r\n"
                        + "Content-Length: 500\r\n\r\nname=Hal"))
                .doesNotStartWith("HTTP/1.1 302");
    }

    private String raw(String request) throws Exception {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.UTF_8));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"+1", "0x1", "%D9%A1", "1.0", "99999999999999999999"})
    void idsArePlainDigits(String id) {
        assertThat(mvc.get().uri(URI.create("/jobs/" + id + "/plan")).exchange())
                .hasStatus(404);
    }

    /** Whatever is wrong, a program gets a problem document (RFC 9457). */
    @ParameterizedTest
    @CsvSource({
        "GET,/api/v1/jobs/987654/worked,404",
        "GET,/api/v1/to-buy?job=987654,404",
        "GET,/api/v1/to-buy?job=abc,400",
        "GET,/api/v1/jobs/abc/worked,404",
        "GET,/api/v1/nowhere,404",
        "GET,/api/v1/sizing,405",
        "DELETE,/api/v1/lugs?code=none,403"
    })
    void programsGetProblems(String method, String path, int status) throws Exception {
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                                .method(method, HttpRequest.BodyPublishers.noBody())
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(status);
        assertThat(answer.headers().firstValue("Content-Type").orElseThrow()).startsWith("application/problem+json");
    }

    @ParameterizedTest
    @CsvSource({
        "/api/v1/lugs,400",
        "/api/v1/lugs?code=none,404",
        "/api/v1/crib/dies?tag=none,404",
        "/api/v1/crib/tools?tag=none,404"
    })
    void whatIsNotThereCannotBeRemoved(String path, int status) {
        assertThat(mvc.delete().uri(path).with(csrf()).exchange())
                .hasStatus(status)
                .hasContentTypeCompatibleWith(MediaType.APPLICATION_PROBLEM_JSON);
    }

    @ParameterizedTest
    @ValueSource(strings = {"localhost", "127.0.0.1", "LOCALHOST", "localhost."})
    void answersUnderLoopbackNames(String host) {
        assertThat(mvc.get().uri("http://" + host + ":8080/").exchange()).hasStatusOk();
    }

    @Test
    void listensOnLoopbackOnly() throws Exception {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            assertThat(socket.isConnected()).isTrue();
        }
        for (NetworkInterface network : Collections.list(NetworkInterface.getNetworkInterfaces())) {
            for (InetAddress address : Collections.list(network.getInetAddresses())) {
                if (!address.isLoopbackAddress()) {
                    assertThat(reachable(address)).as(address.toString()).isFalse();
                }
            }
        }
    }

    private boolean reachable(InetAddress address) {
        try (Socket socket = new Socket()) {
            socket.connect(new java.net.InetSocketAddress(address, port), 300);
            return true;
        } catch (java.io.IOException e) {
            return false;
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"/jobs", "/crib", "/jobs/1/delete", "/jobs/import", "/cables/1/plan"})
    void refusesAPostWithoutToken(String path) {
        assertThat(mvc.post().uri(path).param("name", "x").exchange()).hasStatus(403);
    }

    @Test
    void computingEndpointsTakeJsonOnly() {
        assertThat(mvc.post()
                        .uri("/api/v1/sizing")
                        .contentType(MediaType.TEXT_PLAIN)
                        .content("{}")
                        .exchange())
                .hasStatus(415);
    }
}
