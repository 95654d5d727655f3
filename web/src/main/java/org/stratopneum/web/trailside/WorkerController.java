package org.stratopneum.web.trailside;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.util.DigestUtils;
import org.springframework.util.StreamUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Wording;

/** What makes the site one that a phone can keep: the worker that answers without signal, and the manifest. */
@RestController
class WorkerController {

    /** What the page beside the trail, and the one for all others without signal, are made of. */
    private static final List<String> PARTS = List.of(
            "/assets/app.css",
            "/assets/parts.svg",
            "/assets/js/device.js",
            "/assets/js/ring.js",
            "/assets/js/awake.js",
            "/assets/js/aloud.js",
            "/assets/js/outbox.js",
            "/assets/js/ladder.js",
            "/assets/js/trail-page.js",
            "/assets/js/trail-bag.js",
            "/assets/js/trail-stop.js",
            "/assets/js/trail-words.js",
            "/assets/js/trail-air.js",
            "/assets/js/trail-step.js",
            "/assets/js/trail-asks.js",
            "/assets/js/trail-end.js",
            "/assets/js/trail-outbox.js",
            "/assets/js/trailside.js",
            "/assets/js/offline.js",
            "/assets/mark.svg",
            "/assets/fonts/national-park-latin-wght-normal.woff2",
            "/assets/fonts/atkinson-hyperlegible-next-latin-wght-normal.woff2");

    /** The ground of every page by day. */
    private static final String FILM = "#eef1ef";

    private static final MediaType JAVASCRIPT = new MediaType("text", "javascript", StandardCharsets.UTF_8);
    private static final MediaType MANIFEST = new MediaType("application", "manifest+json", StandardCharsets.UTF_8);

    private final ResourceUrlProvider urls;
    private final Wording wording;
    private final String source;

    WorkerController(ResourceUrlProvider urls, Wording wording) throws IOException {
        this.urls = urls;
        this.wording = wording;
        this.source = StreamUtils.copyToString(
                new ClassPathResource("static/assets/js/worker.js").getInputStream(), StandardCharsets.UTF_8);
    }

    /** The worker with the list of what it keeps; another build has another list, and so another worker. */
    @GetMapping("/worker.js")
    ResponseEntity<String> worker() {
        List<String> parts = PARTS.stream().map(this::versioned).toList();
        String list = "\"" + String.join("\", \"", parts) + "\"";
        String version = DigestUtils.md5DigestAsHex((list + source).getBytes(StandardCharsets.UTF_8));
        String script = "const VERSION = \"" + version + "\";\nconst PARTS = [" + list + "];\n" + source;
        return ResponseEntity.ok()
                .contentType(JAVASCRIPT)
                .cacheControl(CacheControl.noCache())
                .body(script);
    }

    private String versioned(String part) {
        String versioned = urls.getForLookupPath(part);
        return versioned == null ? part : versioned;
    }

    @GetMapping("/manifest.webmanifest")
    ResponseEntity<Map<String, Object>> manifest() {
        return ResponseEntity.ok()
                .contentType(MANIFEST)
                .body(Map.ofEntries(
                        Map.entry("name", wording.text("site.name")),
                        Map.entry("short_name", wording.text("site.name")),
                        Map.entry("description", wording.text("welcome.text")),
                        Map.entry("lang", Region.current().language()),
                        Map.entry("categories", List.of("sports", "utilities")),
                        Map.entry("id", "/"),
                        Map.entry("start_url", "/"),
                        Map.entry("scope", "/"),
                        Map.entry("display", "standalone"),
                        Map.entry("background_color", FILM),
                        Map.entry("theme_color", FILM),
                        Map.entry("shortcuts", shortcuts()),
                        Map.entry(
                                "screenshots",
                                List.of(
                                        screenshot("screen-wide", "1280x800", "wide"),
                                        screenshot("screen-narrow", "390x844", "narrow"))),
                        Map.entry(
                                "icons",
                                List.of(
                                        icon("mark.svg", "any", "any"),
                                        icon("mark-192.png", "192x192", "any"),
                                        icon("mark-512.png", "512x512", "any"),
                                        icon("mark-maskable-512.png", "512x512", "maskable")))));
    }

    private List<Map<String, Object>> shortcuts() {
        List<Map<String, String>> sign = List.of(icon("mark-192.png", "192x192", "any"));
        return List.of(
                Map.of("name", wording.text("trail.ui.title"), "url", "/trailside", "icons", sign),
                Map.of("name", wording.text("manifest.reading"), "url", "/#rear-0", "icons", sign),
                Map.of("name", wording.text("nav.todo"), "url", "/todo", "icons", sign));
    }

    private Map<String, String> screenshot(String name, String sizes, String form) {
        return Map.of(
                "src",
                versioned("/assets/" + name + ".png"),
                "sizes",
                sizes,
                "type",
                "image/png",
                "form_factor",
                form,
                "label",
                wording.text("nav.bikes"));
    }

    private Map<String, String> icon(String file, String sizes, String purpose) {
        String type = file.endsWith(".svg") ? "image/svg+xml" : "image/png";
        return Map.of("src", "/assets/" + file, "sizes", sizes, "type", type, "purpose", purpose);
    }
}
