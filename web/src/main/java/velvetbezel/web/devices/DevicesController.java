package velvetbezel.web.devices;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.time.Duration;
import java.util.UUID;
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
import velvetbezel.store.Devices;
import velvetbezel.web.shell.Addresses;
import velvetbezel.web.shell.Download;
import velvetbezel.web.shell.NotFound;

/** Phones and other devices: how they are connected, who is signed in, signing in. */
@Controller
class DevicesController {
    private static final int MOST_TRIES = 10;
    private static final int MOST_NAME = 60;
    private static final Duration PAUSE = Duration.ofMinutes(10);

    private final Lan lan;
    private final Devices devices;
    private final Passphrase passphrase;
    private final SignIn signIn;
    /** Wrong passphrases by address. */
    private final Cache<String, Integer> wrong =
            Caffeine.newBuilder().expireAfterWrite(PAUSE).build();

    DevicesController(Lan lan, Devices devices, Passphrase passphrase, SignIn signIn) {
        this.lan = lan;
        this.devices = devices;
        this.passphrase = passphrase;
        this.signIn = signIn;
    }

    @GetMapping("/devices")
    String devices(Model model) {
        model.addAttribute("view", DevicesView.of(lan, devices.signedIn()));
        return "devices/devices";
    }

    @PostMapping("/devices/{id}/revoke")
    String revoke(@PathVariable UUID id) {
        devices.revoke(id);
        return "redirect:/devices";
    }

    /** Without a certificate that it trusts, a device cannot be served; this page is all it gets. */
    @GetMapping("/connect")
    String connect(Model model) {
        needsLan();
        model.addAttribute("app", lan.app());
        return "devices/connect";
    }

    @GetMapping("/ca.crt")
    ResponseEntity<byte[]> certificate() throws IOException {
        needsLan();
        return Download.of(
                "velvet-bezel-workshop.crt",
                MediaType.parseMediaType("application/x-x509-ca-cert"),
                Files.readAllBytes(lan.file("ca.crt")));
    }

    private void needsLan() {
        if (!lan.on())
            throw new NotFound(
                    "Only this machine is served", "Start the app with ./start --lan to serve other devices.");
    }

    @GetMapping(SignIn.PAGE)
    String ask(@RequestParam(defaultValue = "/jobs") String back, Model model) {
        return ask("", back, "", model);
    }

    private static String ask(String problem, String back, String name, Model model) {
        model.addAttribute("problem", problem);
        model.addAttribute("back", Addresses.local(back));
        model.addAttribute("name", name);
        return "devices/sign-in";
    }

    @PostMapping(SignIn.PAGE)
    String signIn(
            @RequestParam(name = "passphrase") String typed,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "/jobs") String back,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        String from = request.getRemoteAddr();
        int tries = wrong.get(from, a -> 0);
        if (tries >= MOST_TRIES) {
            response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
            return ask("Too many wrong ones from here: wait ten minutes, then try again.", back, name, model);
        }
        if (!passphrase.isRight(typed)) {
            wrong.put(from, tries + 1);
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return ask(
                    "That is not the workshop's passphrase: four groups of four, as ./start --lan told it. Type it again.",
                    back,
                    name,
                    model);
        }
        String called = name.isBlank() ? "a device" : name.strip();
        String kept = called.length() > MOST_NAME ? called.substring(0, MOST_NAME) : called;
        response.addHeader(HttpHeaders.SET_COOKIE, signIn.cookie(kept).toString());
        return "redirect:" + Addresses.local(back);
    }
}
