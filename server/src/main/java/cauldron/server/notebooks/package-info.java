/** The journal of what a student enters, and the notebook it amounts to. */
@ApplicationModule(displayName = "Notebooks", allowedDependencies = {"assignments", "platform"})
package cauldron.server.notebooks;

import org.springframework.modulith.ApplicationModule;
