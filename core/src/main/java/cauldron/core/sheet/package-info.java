/** Labs: sheets of parts and blocks, their checks, sealing and completeness, and what a student may see. */
package cauldron.core.sheet;
