package cauldron.server.accounts;

import cauldron.server.platform.Problems;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import java.time.Duration;
import org.springframework.stereotype.Component;

/**
 * Limits guessing. Tries at one name are few; tries from one address are many, because a whole school
 * may stand behind it.
 */
@Component
public class Throttle {

    private final LoadingCache<String, Bucket> names = buckets(10);
    private final LoadingCache<String, Bucket> addresses = buckets(120);

    private static LoadingCache<String, Bucket> buckets(int perMinute) {
        return Caffeine.newBuilder().maximumSize(50_000).expireAfterAccess(Duration.ofMinutes(10))
                .build(key -> Bucket.builder().addLimit(l -> l.capacity(perMinute)
                        .refillGreedy(perMinute, Duration.ofMinutes(1))).build());
    }

    /** Counts a try at a name from an address; refuses it when there were too many. */
    public void count(String name, String address) {
        if (!addresses.get(address).tryConsume(1) || !names.get(name).tryConsume(1)) {
            throw Problems.tooMany();
        }
    }

    /** Takes back a counted try that turned out to be right: only guessing is to be slowed down. */
    public void forgive(String name, String address) {
        addresses.get(address).addTokens(1);
        names.get(name).addTokens(1);
    }
}
