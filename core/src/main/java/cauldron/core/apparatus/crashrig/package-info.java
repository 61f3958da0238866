/** A sled with a test figure, driven against a block or another sled: milliseconds, and what they come to. */
package cauldron.core.apparatus.crashrig;
