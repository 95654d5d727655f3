/** Accounts: signing up, in and out, the password, recovery codes, and leaving with everything. */
package org.stratopneum.web.door.account;
