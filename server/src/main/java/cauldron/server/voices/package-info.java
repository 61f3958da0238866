/** Explanations that were spoken: the sound, in pieces, as it came over the network. */
@ApplicationModule(displayName = "Voices", allowedDependencies = {"assignments", "platform"})
package cauldron.server.voices;

import org.springframework.modulith.ApplicationModule;
