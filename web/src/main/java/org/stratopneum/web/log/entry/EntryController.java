package org.stratopneum.web.log.entry;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.stratopneum.web.platform.fault.BusyException;

/** One entry of the log. */
@Controller("entryOfLog")
class EntryController {

    private static final String PAGE = "log/entry/entry";
    private static final String TO_ENTRY = "redirect:/log/";

    private final EntryService service;
    private final Photos photos;

    EntryController(EntryService service, Photos photos) {
        this.service = service;
        this.photos = photos;
    }

    /** @param removed a picture that was just taken away, or null */
    @GetMapping("/log/{id}")
    String entry(@PathVariable UUID id, @RequestParam(required = false) UUID removed, Model model) {
        model.addAttribute("page", service.page(id, removed));
        return PAGE;
    }

    @PostMapping("/log/{id}/note")
    String note(
            @PathVariable UUID id, @RequestParam Map<String, String> typed, HttpServletResponse response, Model model) {
        return after(service.note(id, typed), response, model);
    }

    /** @param photo id that the form gave, so that sending it twice adds one */
    @PostMapping("/log/{id}/photos")
    String add(
            @PathVariable UUID id,
            @RequestParam UUID photo,
            @RequestParam(required = false) MultipartFile file,
            HttpServletResponse response,
            Model model) {
        try {
            return after(service.addPhoto(id, photo, file), response, model);
        } catch (BusyException busy) {
            response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
            response.setHeader(HttpHeaders.RETRY_AFTER, busy.retryAfter());
            model.addAttribute("page", service.busy(id));
            return PAGE;
        }
    }

    private static String after(EntryService.Outcome outcome, HttpServletResponse response, Model model) {
        if (outcome.again() == null) {
            return TO_ENTRY + outcome.entry();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("page", outcome.again());
        return PAGE;
    }

    @GetMapping("/photos/{id}")
    ResponseEntity<byte[]> photo(@PathVariable UUID id) {
        Picture picture = photos.picture(id);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(picture.mediaType()))
                // asked for each time, so that nobody sees it after its rider has signed out
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(id.toString())
                .header("X-Content-Type-Options", "nosniff")
                .body(picture.bytes());
    }

    @PostMapping("/photos/{id}/remove")
    String remove(@PathVariable UUID id) {
        return TO_ENTRY + photos.remove(id) + "?removed=" + id;
    }

    @PostMapping("/photos/{id}/put-back")
    String putBack(@PathVariable UUID id) {
        return TO_ENTRY + photos.putBack(id);
    }
}
