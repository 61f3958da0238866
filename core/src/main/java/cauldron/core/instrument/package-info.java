/** Instruments: what their scales look like and how finely they can be read. */
package cauldron.core.instrument;
