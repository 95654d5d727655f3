package org.stratopneum.web.pressure.ridden;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.stratopneum.web.log.Logbook;

/** Noting rides, and what they say of the pressure that suits the rider. */
@Controller
class RiddenController {

    private static final String RIDE = "pressure/ridden/ride";
    private static final String DIALLING = "pressure/ridden/dialling";

    private final RiddenService service;
    private final LearningService dialling;
    private final Tracks tracks;
    private final Logbook logbook;

    RiddenController(RiddenService service, LearningService dialling, Tracks tracks, Logbook logbook) {
        this.service = service;
        this.dialling = dialling;
        this.tracks = tracks;
        this.logbook = logbook;
    }

    @GetMapping("/bikes/{id}/rides/new")
    String fresh(@PathVariable UUID id, @RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("entry", UUID.randomUUID());
        model.addAttribute("page", service.page(id, parameters));
        return RIDE;
    }

    @PostMapping("/bikes/{id}/rides")
    String note(
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        RiddenService.Outcome outcome = service.note(id, entry, typed);
        if (outcome.again() == null) {
            return to(id) + "?written=" + outcome.entry();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("entry", entry);
        model.addAttribute("page", outcome.again());
        return RIDE;
    }

    /** Keeps a recorded ride, and fills the form with what it says. */
    @PostMapping("/bikes/{id}/tracks")
    String record(
            @PathVariable UUID id,
            @RequestParam(required = false) MultipartFile file,
            HttpServletResponse response,
            Model model) {
        RiddenService.Outcome outcome = service.keep(id, file);
        if (outcome.again() == null) {
            return "redirect:/bikes/" + id + "/rides/new?track=" + outcome.entry();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("entry", UUID.randomUUID());
        model.addAttribute("page", outcome.again());
        return RIDE;
    }

    /** The file of a recorded ride, byte for byte. */
    @GetMapping("/tracks/{id}")
    void track(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        KeptTrack track = tracks.track(id);
        String name = track.name().toLowerCase(Locale.ROOT);
        response.setContentType(
                name.endsWith(".gz")
                        ? "application/gzip"
                        : name.endsWith(".tcx") ? MediaType.APPLICATION_XML_VALUE : "application/gpx+xml");
        response.setContentLengthLong(track.bytes());
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(track.name().isEmpty() ? "ride.gpx" : track.name(), StandardCharsets.UTF_8)
                        .build()
                        .toString());
        tracks.write(id, response.getOutputStream());
    }

    @GetMapping("/bikes/{id}/dialling")
    String dialling(
            @PathVariable UUID id,
            @RequestParam(required = false) List<UUID> written,
            @RequestParam(required = false) List<UUID> struck,
            Model model) {
        model.addAttribute("page", dialling.page(id, written, struck));
        return DIALLING;
    }

    @PostMapping("/bikes/{id}/own-number")
    String own(
            @PathVariable UUID id,
            @RequestParam UUID wheel,
            @RequestParam UUID entry,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        LearningService.Outcome outcome = dialling.keepOwn(id, wheel, entry, typed);
        if (outcome.again() == null) {
            return to(id) + "?written=" + outcome.entry();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", outcome.again());
        return DIALLING;
    }

    @PostMapping("/bikes/{id}/dialling/reset")
    String reset(@PathVariable UUID id, @RequestParam UUID wheel, @RequestParam UUID entry) {
        dialling.reset(id, wheel, entry);
        return to(id) + "?written=" + entry;
    }

    @PostMapping("/bikes/{id}/dialling/alone")
    String standAlone(@PathVariable UUID id, @RequestParam Map<String, String> typed) {
        dialling.standAlone(id, typed.containsKey("alone"));
        return to(id);
    }

    @PostMapping("/bikes/{id}/dialling/strike")
    String strike(@PathVariable UUID id, @RequestParam List<UUID> entry) {
        service.checkOwner(id);
        return to(id) + "?struck=" + joined(logbook.strike(entry));
    }

    @PostMapping("/bikes/{id}/dialling/put-back")
    String putBack(@PathVariable UUID id, @RequestParam List<UUID> entry) {
        service.checkOwner(id);
        return to(id) + "?written=" + joined(logbook.putBack(entry));
    }

    private static String joined(List<UUID> ids) {
        return String.join(",", ids.stream().map(UUID::toString).toList());
    }

    private static String to(UUID bike) {
        return "redirect:/bikes/" + bike + "/dialling";
    }
}
