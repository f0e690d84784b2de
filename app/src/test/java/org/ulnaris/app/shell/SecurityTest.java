package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.util.Collections;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
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

    @ParameterizedTest
    @ValueSource(strings = {"localhost", "127.0.0.1"})
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
