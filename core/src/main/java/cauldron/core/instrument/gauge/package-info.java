/** What shows a quantity of the apparatus in digits. */
package cauldron.core.instrument.gauge;
