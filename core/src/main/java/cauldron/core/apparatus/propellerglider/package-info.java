/** A glider on an air track, pushed by its own propeller. */
package cauldron.core.apparatus.propellerglider;
