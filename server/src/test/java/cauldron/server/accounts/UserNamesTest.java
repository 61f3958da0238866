package cauldron.server.accounts;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Names of any script become user names that can be typed. */
class UserNamesTest {

    @ParameterizedTest
    @CsvSource({
        "Ragna Søby, ragna.soby", "Łukasz Đorđević, lukasz.dordevic", "Zoë Weiß-Ærø, zoe.weiss.aero",
        "Олена Коваль, olena.koval", "Νίκος Παππάς, nikos.pappas", "Nell O'Dare, nell.odare", "李 小龙, li.xiao.long",
        "!!!, student", "..a.., a", "Ibrāhīm, ibrahim"})
    void aNameIsSpeltInPlainLetters(String name, String expected) {
        assertThat(UserNames.from(name)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"23", "24", "60"})
    void neverTooLongAndNeverEndsInADot(int to) {
        String name = UserNames.from("a".repeat(to) + " b");
        assertThat(name).hasSizeLessThanOrEqualTo(24).matches("a+");
    }
}
