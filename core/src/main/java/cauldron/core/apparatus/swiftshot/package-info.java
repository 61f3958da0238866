/** A light float shot from an air tube along a range board, for a fast camera. */
package cauldron.core.apparatus.swiftshot;
