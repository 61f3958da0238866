/** A vessel on a balance, in it a sample on a smaller one, and reactions that make, use or keep a gas. */
package cauldron.core.apparatus.reactionbalance;
