package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Guessing costs, and never shuts the right person out. */
@ExtendWith(ServerExtension.class)
class GuessingTest {

    private static Visitor fresh() {
        Visitor visitor = new Visitor();
        visitor.get("/api/me");
        return visitor;
    }

    @Test
    void aGuesserFromTheSameAddressAtTheSameNameRefusesNobody() {
        Visitor guesser = fresh();
        long wait = 0;
        for (int i = 0; i < 12; i++) {
            wait = guesser.signIn("greta.oyelaran", "wrong-" + i).headers().firstValueAsLong("Retry-After").orElse(0);
        }
        assertThat(wait).isPositive();
        assertThat(fresh().signIn("greta.oyelaran", Visitor.SECRET).statusCode()).isEqualTo(200);
    }

    @Test
    void theWaitGrowsAndHoldsAcrossServers() {
        Visitor there = new Visitor(ServerExtension.addressBehindProxy(), null);
        there.get("/api/me");
        Visitor guesser = fresh();
        for (int i = 0; i < 5; i++) {
            assertThat(guesser.signIn("hanno.vik", "wrong-" + i).statusCode()).isEqualTo(401);
        }
        assertThat(guesser.signIn("hanno.vik", "wrong-x").statusCode()).isEqualTo(429);
        // The same browser at the other server: cookies go by host, so it is told by hand.
        there.adopt("cauldron-browser", guesser.cookie("cauldron-browser"));
        assertThat(there.signIn("hanno.vik", "wrong-y").statusCode()).isEqualTo(429);
    }

    @Test
    void whoMintsANewBrowserForEachGuessWaitsToo() {
        int refused = 0;
        for (int i = 0; i < 40; i++) {
            refused += fresh().signIn("imre.saltzman", "wrong-" + i).statusCode() == 429 ? 1 : 0;
        }
        assertThat(refused).isBetween(5, 15);
    }

    @Test
    void fourHundredStudentsGetInWhileOneGuesses() {
        Visitor ines = Visitor.signedIn("ines");
        String code = Visitor.read(ines.post("/api/classes", Map.of("name", "Whole school"))).get("code").asString();
        AtomicInteger guesses = new AtomicInteger();
        ScheduledExecutorService guesser = Executors.newSingleThreadScheduledExecutor();
        Visitor bad = fresh();
        guesser.scheduleAtFixedRate(() -> {
            int n = guesses.incrementAndGet();
            if (n % 2 == 0) {
                bad.post("/api/join", Map.of("code", "AAA" + (100 + n % 900), "displayName", "Nobody", "secret", "eight-chars"));
            } else {
                bad.signIn(List.of("esi.lund", "ines", "oona.tait").get(n % 3), "wrong-" + n);
            }
        }, 0, 200, TimeUnit.MILLISECONDS);
        try {
            List<Integer> statuses = IntStream.range(0, 400).parallel().mapToObj(i -> i < 370
                    ? fresh().post("/api/join", Map.of("code", code, "displayName", "Pupil " + i, "secret", "eight-chars")).statusCode()
                    : fresh().signIn(i % 2 == 0 ? "esi.lund" : "oona.tait", Visitor.SECRET).statusCode()).toList();
            assertThat(statuses).hasSize(400).allMatch(s -> s == 200);
            assertThat(guesses.get()).isGreaterThan(5);
        } finally {
            guesser.shutdownNow();
        }
    }

    @Test
    void forwardedHeadersAreBelievedFromNamedProxiesOnly() {
        Visitor direct = new Visitor(ServerExtension.address(), "203.0.113.9");
        assertThat(String.join("\n", direct.get("/api/me").headers().allValues("Set-Cookie"))).doesNotContain("Secure");
        Visitor behind = new Visitor(ServerExtension.addressBehindProxy(), "203.0.113.9");
        var answer = behind.get("/api/me");
        assertThat(answer.headers().allValues("Set-Cookie")).isNotEmpty().allMatch(c -> c.contains("Secure") && c.contains("SameSite=Lax"));
        assertThat(answer.headers().firstValue("Strict-Transport-Security")).isPresent();
    }

    @Test
    void theTokenAgainstForgeryIsNewAtEachSignIn() {
        Visitor visitor = fresh();
        String before = visitor.cookie("XSRF-TOKEN");
        visitor.signIn("arlo.venn", Visitor.SECRET);
        assertThat(visitor.cookie("XSRF-TOKEN")).isNotNull().isNotEqualTo(before);
    }
}
