/** Words to know. */
package cauldron.core.block.vocabulary;
