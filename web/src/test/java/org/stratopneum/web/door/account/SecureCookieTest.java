package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.security.KeyStore;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** Cookies are secure whenever the request is. */
@ExtendWith(RunningApplication.class)
class SecureCookieTest {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final Site site;
    private final RunningApplication.Started started;

    @TempDir
    Path folder;

    SecureCookieTest(Site site, RunningApplication.Started started) {
        this.site = site;
        this.started = started;
    }

    @Test
    void overHttpsEveryCookieIsSecureAndOverHttpNoneIs() throws Exception {
        assertThat(signUp(HttpClient.newBuilder(), site.address()))
                .hasSizeGreaterThanOrEqualTo(2)
                .noneMatch(cookie -> cookie.contains("Secure"));

        Path keys = folder.resolve("keys.p12");
        makeKeys(keys);
        try (ConfigurableApplicationContext secure = started.startAnother(
                "--server.ssl.enabled=true",
                "--server.ssl.key-store=" + keys.toUri(),
                "--server.ssl.key-store-password=changeit")) {
            String address = RunningApplication.siteOf(secure).address().replace("http:", "https:");
            List<String> cookies = signUp(HttpClient.newBuilder().sslContext(trusting(keys)), address);
            assertThat(cookies)
                    .anyMatch(cookie -> cookie.startsWith("__Host-stratopneum-session="))
                    .anyMatch(cookie -> cookie.startsWith("__Host-stratopneum-form="))
                    .anyMatch(cookie -> cookie.startsWith("__Host-stratopneum-device="))
                    .allMatch(cookie -> cookie.contains("Path=/") && !cookie.contains("Domain"))
                    .allMatch(cookie -> cookie.contains("Secure") && cookie.contains("HttpOnly"));
        }
    }

    /** Signs up a new rider; every cookie that was set on the way. */
    private static List<String> signUp(HttpClient.Builder builder, String address)
            throws IOException, InterruptedException {
        HttpClient client = builder.cookieHandler(new CookieManager()).build();
        HttpRequest.Builder door = HttpRequest.newBuilder(URI.create(address + "/sign-up"));
        HttpResponse<String> form = client.send(door.build(), HttpResponse.BodyHandlers.ofString());
        Matcher token = TOKEN.matcher(form.body());
        assertThat(token.find()).isTrue();
        String body = "name=Rider+" + UUID.randomUUID().toString().substring(0, 13)
                + "&password=lichen+on+the+north+wall&_csrf=" + Site.encode(token.group(1));
        HttpResponse<String> answer = client.send(
                door.header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(302);
        List<String> cookies = new ArrayList<>(form.headers().allValues("Set-Cookie"));
        cookies.addAll(answer.headers().allValues("Set-Cookie").stream()
                .filter(cookie -> !cookie.contains("Max-DateText=0"))
                .toList());
        return cookies;
    }

    private static void makeKeys(Path keys) throws IOException, InterruptedException {
        Process keytool = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "keytool")
                                .toString(),
                        "-genkeypair",
                        "-alias",
                        "bench",
                        "-keyalg",
                        "EC",
                        "-dname",
                        "CN=127.0.0.1",
                        "-ext",
                        "SAN=ip:127.0.0.1",
                        "-storetype",
                        "PKCS12",
                        "-storepass",
                        "changeit",
                        "-keystore",
                        keys.toString())
                .inheritIO()
                .start();
        assertThat(keytool.waitFor()).isZero();
    }

    private static SSLContext trusting(Path keys) throws Exception {
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(KeyStore.getInstance(keys.toFile(), "changeit".toCharArray()));
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return context;
    }
}
