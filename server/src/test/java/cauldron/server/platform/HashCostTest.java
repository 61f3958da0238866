package cauldron.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;

/** What a secret's hash costs is the administrator's choice, within bounds. */
class HashCostTest {

    private static PasswordEncoder encoder(int cost) {
        return new SecurityConfiguration().passwordEncoder(cost);
    }

    @Test
    void aSecretKeptAtAnotherCostStaysGood() {
        String cheap = encoder(4).encode("lantern-harbour");
        assertThat(cheap).contains("$04$");
        assertThat(encoder(5).matches("lantern-harbour", cheap)).isTrue();
        assertThat(encoder(5).matches("lantern-harbor", cheap)).isFalse();
    }

    @Test
    void aCostOutOfBoundsIsNamedWithThem() {
        for (int cost : new int[] {3, 17}) {
            assertThatThrownBy(() -> encoder(cost)).hasMessage("cauldron.hash-cost is " + cost + "; it may be 4 to 16");
        }
    }
}
