/** Two tanks of water, one above the other, joined by a neck that conducts or lets water through. */
package cauldron.core.apparatus.twintanks;
