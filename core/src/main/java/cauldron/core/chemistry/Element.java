package cauldron.core.chemistry;

import java.util.ArrayList;
import java.util.List;

/**
 * A chemical element. Standard atomic weights: IUPAC, as restated in the package periodictable (T. B. Coplen et al.,
 * Pure Appl. Chem. 74, 1987 (2002)); for elements without a stable nuclide the mass number of the one that lives
 * longest.
 */
public final class Element implements Comparable<Element> {

    private static final String TABLE = """
            H hydrogen 1.00794; He helium 4.002602; Li lithium 6.941; Be beryllium 9.012182; B boron 10.811;
            C carbon 12.0107; N nitrogen 14.0067; O oxygen 15.9994; F fluorine 18.9984032; Ne neon 20.1797;
            Na sodium 22.98977; Mg magnesium 24.305; Al aluminium 26.981538; Si silicon 28.0855;
            P phosphorus 30.973761; S sulfur 32.065; Cl chlorine 35.453; Ar argon 39.948; K potassium 39.0983;
            Ca calcium 40.078; Sc scandium 44.95591; Ti titanium 47.867; V vanadium 50.9415; Cr chromium 51.9961;
            Mn manganese 54.938049; Fe iron 55.845; Co cobalt 58.9332; Ni nickel 58.6934; Cu copper 63.546;
            Zn zinc 65.409; Ga gallium 69.723; Ge germanium 72.64; As arsenic 74.9216; Se selenium 78.96;
            Br bromine 79.904; Kr krypton 83.798; Rb rubidium 85.4678; Sr strontium 87.62; Y yttrium 88.90585;
            Zr zirconium 91.224; Nb niobium 92.90638; Mo molybdenum 95.94; Tc technetium 98; Ru ruthenium 101.07;
            Rh rhodium 102.9055; Pd palladium 106.42; Ag silver 107.8682; Cd cadmium 112.411; In indium 114.818;
            Sn tin 118.71; Sb antimony 121.76; Te tellurium 127.6; I iodine 126.90447; Xe xenon 131.293;
            Cs caesium 132.90545; Ba barium 137.327; La lanthanum 138.9055; Ce cerium 140.116;
            Pr praseodymium 140.90765; Nd neodymium 144.24; Pm promethium 145; Sm samarium 150.36;
            Eu europium 151.964; Gd gadolinium 157.25; Tb terbium 158.92534; Dy dysprosium 162.5;
            Ho holmium 164.93032; Er erbium 167.259; Tm thulium 168.93421; Yb ytterbium 173.04;
            Lu lutetium 174.967; Hf hafnium 178.49; Ta tantalum 180.9479; W tungsten 183.84; Re rhenium 186.207;
            Os osmium 190.23; Ir iridium 192.217; Pt platinum 195.078; Au gold 196.96655; Hg mercury 200.59;
            Tl thallium 204.3833; Pb lead 207.2; Bi bismuth 208.98038; Po polonium 209; At astatine 210;
            Rn radon 222; Fr francium 223; Ra radium 226; Ac actinium 227; Th thorium 232.0381;
            Pa protactinium 231.03588; U uranium 238.02891; Np neptunium 237; Pu plutonium 244; Am americium 243;
            Cm curium 247; Bk berkelium 247; Cf californium 251; Es einsteinium 252; Fm fermium 257;
            Md mendelevium 258; No nobelium 259; Lr lawrencium 262; Rf rutherfordium 261; Db dubnium 262;
            Sg seaborgium 266; Bh bohrium 264; Hs hassium 277; Mt meitnerium 268; Ds darmstadtium 281;
            Rg roentgenium 272; Cn copernicium 285; Nh nihonium 286; Fl flerovium 289; Mc moscovium 289;
            Lv livermorium 293; Ts tennessine 294; Og oganesson 294
            """;
    private static final List<Element> ALL = read();

    private final int number;
    private final String symbol;
    private final String name;
    private final double weight;

    private Element(int number, String symbol, String name, double weight) {
        this.number = number;
        this.symbol = symbol;
        this.name = name;
        this.weight = weight;
    }

    private static List<Element> read() {
        List<Element> all = new ArrayList<>();
        for (String one : TABLE.split(";")) {
            String[] words = one.trim().split(" ");
            all.add(new Element(all.size() + 1, words[0], words[1], Double.parseDouble(words[2])));
        }
        return List.copyOf(all);
    }

    /** All that have a name, by their atomic number. */
    public static List<Element> all() {
        return ALL;
    }

    /**
     * The element of an atomic number.
     *
     * @throws IllegalArgumentException where there is none
     */
    public static Element number(int z) {
        if (z < 1 || z > ALL.size()) {
            throw new IllegalArgumentException("No element has the atomic number " + z + ": 1 to " + ALL.size());
        }
        return ALL.get(z - 1);
    }

    /**
     * The element of a symbol.
     *
     * @throws IllegalArgumentException where there is none
     */
    public static Element of(String symbol) {
        for (Element one : ALL) {
            if (one.symbol.equals(symbol)) {
                return one;
            }
        }
        throw new IllegalArgumentException("No element has the symbol “" + symbol + "”");
    }

    /** Atomic number. */
    public int number() {
        return number;
    }

    /** Symbol. */
    public String symbol() {
        return symbol;
    }

    /** Name, in small letters. */
    public String name() {
        return name;
    }

    /** Standard atomic weight: mean mass of its atoms in u, over its isotopes as they occur. */
    public double weight() {
        return weight;
    }

    @Override
    public int compareTo(Element other) {
        return Integer.compare(number, other.number);
    }

    @Override
    public String toString() {
        return symbol;
    }
}
