package cauldron.core.apparatus;

/** A flag that no apparatus has, for tests of faults. */
final class Stray extends Declaration {

    final Flag flag = flag("stray");
}
