package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.ulnaris.app.AppTest;

/** Over a real connection: limits of the container are not seen by a mock request. */
class UploadTest extends AppTest {
    @LocalServerPort
    private int port;

    @Test
    void tenMegabytesAreRefusedWithWords() throws Exception {
        HttpClient client = HttpClient.newHttpClient();
        URI root = URI.create("http://localhost:" + port + "/");
        HttpResponse<String> page =
                client.send(HttpRequest.newBuilder(root).build(), HttpResponse.BodyHandlers.ofString());
        String cookie = HttpCookie.parse(page.headers().firstValue("Set-Cookie").orElseThrow())
                .get(0)
                .toString();
        Matcher token = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"").matcher(page.body());
        assertThat(token.find()).isTrue();
        String body = "--B\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + token.group(1)
                + "\r\n--B\r\nContent-Disposition: form-data; name=\"file\"; filename=\"x.json\"\r\n\r\n"
                + "x".repeat(10 * 1024 * 1024) + "\r\n--B--\r\n";
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(root.resolve("jobs/import"))
                        .header("Content-Type", "multipart/form-data; boundary=B")
                        .header("Cookie", cookie)
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isIn(403, 413);
        assertThat(answer.body()).doesNotContain("Exception").contains("Ulnaris");
    }
}
