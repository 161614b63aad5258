package velvetbezel.web.shell;

import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Picks a name. */
@Controller
class WhoController {
    private final Who who;

    WhoController(Who who) {
        this.who = who;
    }

    @GetMapping("/who")
    String ask(@RequestParam(defaultValue = "/jobs") String back, Model model) {
        model.addAttribute("people", who.people());
        model.addAttribute("back", Addresses.local(back));
        return "shell/who";
    }

    @PostMapping("/who")
    ResponseEntity<Void> pick(@RequestParam String person, @RequestParam(defaultValue = "/jobs") String back) {
        if (who.people().stream().noneMatch(p -> p.id().equals(person)))
            return ResponseEntity.status(303)
                    .header(HttpHeaders.LOCATION, "/who")
                    .build();
        return ResponseEntity.status(303)
                .header(HttpHeaders.SET_COOKIE, who.cookie(person).toString())
                .header(HttpHeaders.LOCATION, Addresses.local(back))
                .build();
    }
}
