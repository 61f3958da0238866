/** Loads that are brought from one height to another in a tower, on this way or that. */
package cauldron.core.apparatus.raisedloads;
