/** Properties of matter that several apparatus share, each with its source. */
package cauldron.core.matter;
