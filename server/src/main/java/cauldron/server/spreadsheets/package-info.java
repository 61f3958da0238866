/** Tables as spreadsheet files. */
@ApplicationModule(displayName = "Spreadsheets")
package cauldron.server.spreadsheets;

import org.springframework.modulith.ApplicationModule;
