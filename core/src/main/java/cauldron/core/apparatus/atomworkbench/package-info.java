/** Atom workbench: an atom built nucleon by nucleon on the chart of nuclides, electron by electron at its shells. */
package cauldron.core.apparatus.atomworkbench;
