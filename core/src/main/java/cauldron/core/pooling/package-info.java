/**
 * Many students' tables in one graph: what each of them gives for the same formulas, and what the fits of all come to.
 */
package cauldron.core.pooling;
