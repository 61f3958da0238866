/** Reversible reactions in a vessel, by rate equations and particle by particle, from one set of constants. */
package cauldron.core.apparatus.equilibriumflask;
