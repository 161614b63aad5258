package velvetbezel.web.devices;

import java.security.SecureRandom;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.stereotype.Component;
import velvetbezel.store.Devices;

/** The workshop's passphrase: made and told once, kept as a slow hash (bcrypt). */
@Component
class Passphrase implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(Passphrase.class);
    /** Nothing that is mistaken for another when it is read aloud or typed: no 0 and o, no 1 and l. */
    private static final String LETTERS = "abcdefghijkmnpqrstuvwxyz23456789";

    private static final int GROUPS = 4;
    private static final int LETTERS_IN_GROUP = 4;
    private static final int COST = 12;

    private final Lan lan;
    private final Devices devices;
    private final boolean another;
    private final BCryptPasswordEncoder slow = new BCryptPasswordEncoder(COST);
    private final SecureRandom random = new SecureRandom();

    /** @param another whether a new one is made in place of the one there is */
    Passphrase(Lan lan, Devices devices, @Value("${vb.lan.new-passphrase}") boolean another) {
        this.lan = lan;
        this.devices = devices;
        this.another = another;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!lan.on() || devices.passphraseHash().isPresent() && !another) return;
        LOG.info(
                "The workshop's passphrase is  {}  Write it down: it is told this once. (./start --lan --new-passphrase makes another.)",
                make());
    }

    /** Makes another one; every device has to sign in again. */
    String make() {
        String made = IntStream.range(0, GROUPS)
                .mapToObj(g -> random.ints(LETTERS_IN_GROUP, 0, LETTERS.length())
                        .mapToObj(i -> String.valueOf(LETTERS.charAt(i)))
                        .collect(Collectors.joining()))
                .collect(Collectors.joining("-"));
        devices.changePassphrase(slow.encode(made));
        return made;
    }

    /** @param typed with or without hyphens, spaces and capital letters */
    boolean isRight(String typed) {
        String letters = typed.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "");
        if (letters.length() != GROUPS * LETTERS_IN_GROUP) return false;
        String written = letters.replaceAll("(.{4})(?=.)", "$1-");
        return devices.passphraseHash()
                .filter(hash -> slow.matches(written, hash))
                .isPresent();
    }
}
