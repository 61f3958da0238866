/** Labelled drawings: paper with figures and places, what is laid on it, and whether it is what was wanted. */
package cauldron.core.drawing;
