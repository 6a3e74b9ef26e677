package ridgefall.app.live;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Which jobs have changed and to what number, as nodes tell each other and screens are told: a JSON list. */
final class Notice {
    /** PostgreSQL takes 8000 bytes; a job's part is about 70. */
    private static final int MOST = 80;

    private static final Pattern PART = Pattern.compile("\\{\"jobId\":\"([-0-9a-f]{36})\",\"seq\":(\\d+)}");

    private Notice() {}

    static String text(Map<UUID, Long> changed) {
        return changed.entrySet().stream()
                .map(job -> "{\"jobId\":\"" + job.getKey() + "\",\"seq\":" + job.getValue() + "}")
                .collect(Collectors.joining(",", "[", "]"));
    }

    static Map<UUID, Long> read(String text) {
        return PART.matcher(text)
                .results()
                .collect(Collectors.toMap(
                        part -> UUID.fromString(part.group(1)),
                        (MatchResult part) -> Long.valueOf(part.group(2)),
                        Math::max));
    }

    /** As they stand now, in parcels that a notice can carry. */
    static List<Map<UUID, Long>> parcels(Map<UUID, Long> changed) {
        List<Map<UUID, Long>> parcels = new ArrayList<>();
        Map<UUID, Long> parcel = new HashMap<>();
        for (Map.Entry<UUID, Long> job : changed.entrySet()) {
            parcel.put(job.getKey(), job.getValue());
            if (parcel.size() == MOST) {
                parcels.add(parcel);
                parcel = new HashMap<>();
            }
        }
        if (!parcel.isEmpty()) {
            parcels.add(parcel);
        }
        return parcels;
    }
}
