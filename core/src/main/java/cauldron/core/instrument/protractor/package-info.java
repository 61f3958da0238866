/** A half circle for angles. */
package cauldron.core.instrument.protractor;
