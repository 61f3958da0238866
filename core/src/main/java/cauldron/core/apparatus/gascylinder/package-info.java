/** Molecules in a cylinder with a piston: exact hard-sphere dynamics, event after event. */
package cauldron.core.apparatus.gascylinder;
