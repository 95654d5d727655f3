/** Files that are brought in: received in pieces, checked, brought in whole or not at all, and taken out again. */
package org.stratopneum.web.intake;
