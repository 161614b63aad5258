package velvetbezel.store;

import static velvetbezel.store.rows.Tables.JOB_PHOTO;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.sheet.InvalidInput;

/**
 * Photos of a job as JPEG. A photo is there where an entry of the job names it; its bytes stay, so that undo
 * can be undone.
 */
public class Photos {
    /** A photo resized in the browser has a tenth of it. */
    public static final int MOST_BYTES = 3_000_000;

    private final DSLContext db;

    public Photos(DSLContext db) {
        this.db = db;
    }

    /**
     * Keeps a photo; the same once more changes nothing.
     *
     * @throws InvalidInput if it is no JPEG, or too large
     */
    public void keep(UUID job, UUID id, byte[] jpeg) {
        check("photo", jpeg);
        db.insertInto(JOB_PHOTO)
                .set(JOB_PHOTO.ID, id)
                .set(JOB_PHOTO.JOB_ID, job)
                .set(JOB_PHOTO.BYTES, jpeg)
                .onConflictDoNothing()
                .execute();
    }

    static void check(String field, byte[] jpeg) {
        boolean isJpeg = jpeg.length > 3 && (jpeg[0] & 0xff) == 0xff && (jpeg[1] & 0xff) == 0xd8;
        if (!isJpeg)
            throw new InvalidInput(
                    field,
                    "is no JPEG picture (%d bytes came). Take it again, or choose one from the camera."
                            .formatted(jpeg.length));
        if (jpeg.length > MOST_BYTES)
            throw new InvalidInput(
                    field,
                    "has %.1f MB; at most %d MB are kept. Take it smaller."
                            .formatted(jpeg.length / 1e6, MOST_BYTES / 1_000_000));
    }

    public Optional<byte[]> find(UUID job, UUID id) {
        return db.select(JOB_PHOTO.BYTES)
                .from(JOB_PHOTO)
                .where(JOB_PHOTO.JOB_ID.eq(job), JOB_PHOTO.ID.eq(id))
                .fetchOptional(JOB_PHOTO.BYTES);
    }

    /** Bytes of every photo that a job names, by id. */
    Map<UUID, byte[]> of(UUID job, JobState state) {
        Map<UUID, byte[]> photos = new LinkedHashMap<>();
        for (Entry.PhotoTaken e : state.all(Entry.PhotoTaken.class))
            find(job, e.id()).ifPresent(bytes -> photos.put(e.id(), bytes));
        return photos;
    }
}
