/** Answers against keys: tolerance, units, and what kind of slip a wrong answer shows. */
package cauldron.core.marking;
