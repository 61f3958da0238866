/** What a notebook computes: tables with calculated columns and units, and fits. */
package cauldron.core.analysis;
