/**
 * Elements, formulas, substances and reactions, so that every apparatus speaks of the same matter. Plain data and
 * arithmetic of whole numbers; nothing here moves.
 */
package cauldron.core.chemistry;
