package cauldron.core.apparatus.crashrig;

/**
 * How likely a critical injury is (5 or more on the abbreviated injury scale), by published logistic curves:
 * <ul>
 * <li>head, from HIC: 1/(1 + exp(7.82 + 200/HIC − 0.00429 HIC)), the expanded Prasad–Mertz curves (P. Prasad and
 * H. J. Mertz, SAE 851246, 1985, as expanded in NHTSA, Final economic assessment FMVSS 201, 1995);</li>
 * <li>chest, from its 3 ms acceleration A in multiples of g: 1/(1 + exp(8.7652 − 0.0659 A)) (R. Eppinger et al.,
 * Development of improved injury criteria for the assessment of advanced automotive restraint systems II, NHTSA 1999).
 * </li>
 * </ul>
 * Who escapes both is taken to survive; the two are taken as independent.
 */
final class InjuryRisk {

    private InjuryRisk() {
    }

    /** Of the head, from 0 to 1. */
    static double head(double hic) {
        return hic <= 0 ? 0 : 1 / (1 + Math.exp(7.82 + 200 / hic - 0.00429 * hic));
    }

    /** Of the chest, from 0 to 1; its acceleration in m/s². */
    static double chest(double clip) {
        return 1 / (1 + Math.exp(8.7652 - 0.0659 * clip / HeadInjury.G));
    }

    /** How likely both are escaped. */
    static double survival(double hic, double clip) {
        return (1 - head(hic)) * (1 - chest(clip));
    }
}
