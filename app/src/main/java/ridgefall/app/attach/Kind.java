package ridgefall.app.attach;

import java.util.Locale;
import java.util.Set;
import org.springframework.http.MediaType;
import ridgefall.core.units.NotAllowed;

/** What a file of a job is for, and how large one may be. */
public enum Kind {
    /** Drawn anew from its pixels before it is kept; comes by the end point for photos. */
    PHOTO(8 << 20, 12, Set.of("image/jpeg", "image/png")),
    /** Where fingers and pens were seen, over time. */
    TRACE(512 << 10, 24, Set.of("application/json", "text/csv")),
    /** What was read from a chip before it moved, or before it was written. */
    PAIRING(64 << 10, 24, Set.of("application/octet-stream", "application/json")),
    /** Lines drawn with a finger by who signs. */
    SIGNATURE(48 << 10, 12, Set.of("application/json"));

    private final int mostBytes;
    private final int mostAJob;
    private final Set<String> mediaTypes;

    Kind(int mostBytes, int mostAJob, Set<String> mediaTypes) {
        this.mostBytes = mostBytes;
        this.mostAJob = mostAJob;
        this.mediaTypes = mediaTypes;
    }

    /** One of it. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public int mostAJob() {
        return mostAJob;
    }

    /** @throws NotAllowed where it is too large, or none of the types that this kind comes in */
    public void check(byte[] file, MediaType type) {
        if (file.length == 0 || file.length > mostBytes) {
            throw new NotAllowed("file", file.length + " bytes", "1 to " + mostBytes + " bytes for a " + word());
        }
        String given = type == null ? "none" : type.getType() + "/" + type.getSubtype();
        if (!mediaTypes.contains(given)) {
            throw new NotAllowed("contentType", given, "one of " + String.join(", ", mediaTypes));
        }
        if (this == SIGNATURE) {
            LineDrawing.read(file);
        }
    }
}
