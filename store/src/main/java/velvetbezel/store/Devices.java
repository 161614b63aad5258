package velvetbezel.store;

import static velvetbezel.store.rows.Tables.DEVICE;
import static velvetbezel.store.rows.Tables.WORKSHOP_SECRET;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;

/** Devices that signed in with the workshop's passphrase. Only digests are kept: of the passphrase and of each key. */
public class Devices {
    private static final String PASSPHRASE = "passphrase";
    /** So often it is written down that a device was seen. */
    private static final Duration SEEN = Duration.ofMinutes(5);

    private final DSLContext db;
    private final Clock clock;

    /** @param name as its owner called it */
    public record Device(UUID id, String name, Instant signedIn, Instant seen) {}

    public Devices(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** The slow hash of the workshop's passphrase; empty until there is one. */
    public Optional<String> passphraseHash() {
        return db.selectFrom(WORKSHOP_SECRET)
                .where(WORKSHOP_SECRET.NAME.eq(PASSPHRASE))
                .fetchOptional(WORKSHOP_SECRET.HASH);
    }

    /** From now on this is the passphrase; devices that signed in with another have to do it again. */
    public void changePassphrase(String hash) {
        db.transaction(t -> {
            t.dsl()
                    .insertInto(WORKSHOP_SECRET)
                    .values(PASSPHRASE, hash)
                    .onConflict(WORKSHOP_SECRET.NAME)
                    .doUpdate()
                    .set(WORKSHOP_SECRET.HASH, hash)
                    .execute();
            t.dsl()
                    .update(DEVICE)
                    .set(DEVICE.REVOKED_AT, now())
                    .where(DEVICE.REVOKED_AT.isNull())
                    .execute();
        });
    }

    /** @param keyDigest SHA-256 of the key that the device keeps */
    public void signIn(String name, String keyDigest) {
        db.insertInto(DEVICE)
                .set(DEVICE.ID, UUID.randomUUID())
                .set(DEVICE.NAME, name)
                .set(DEVICE.KEY_DIGEST, keyDigest)
                .set(DEVICE.SIGNED_IN_AT, now())
                .set(DEVICE.SEEN_AT, now())
                .execute();
    }

    /** Whether a device with this key is signed in. */
    public boolean knows(String keyDigest) {
        Optional<OffsetDateTime> seen = db.selectFrom(DEVICE)
                .where(DEVICE.KEY_DIGEST.eq(keyDigest).and(DEVICE.REVOKED_AT.isNull()))
                .fetchOptional(DEVICE.SEEN_AT);
        if (seen.filter(s -> s.isBefore(now().minus(SEEN))).isPresent())
            db.update(DEVICE)
                    .set(DEVICE.SEEN_AT, now())
                    .where(DEVICE.KEY_DIGEST.eq(keyDigest))
                    .execute();
        return seen.isPresent();
    }

    /** Those signed in, the one seen last first. */
    public List<Device> signedIn() {
        return db.selectFrom(DEVICE)
                .where(DEVICE.REVOKED_AT.isNull())
                .orderBy(DEVICE.SEEN_AT.desc())
                .fetch(d -> new Device(
                        d.getId(),
                        d.getName(),
                        d.getSignedInAt().toInstant(),
                        d.getSeenAt().toInstant()));
    }

    public void revoke(UUID id) {
        db.update(DEVICE).set(DEVICE.REVOKED_AT, now()).where(DEVICE.ID.eq(id)).execute();
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }
}
