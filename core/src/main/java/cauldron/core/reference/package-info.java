/**
 * A table held against what its apparatus showed: reference values (BIPM, VIM 5.18) worked out by replaying the trial
 * that a value was read on, how far a reading is from them, and what went wrong where it is far.
 */
package cauldron.core.reference;
