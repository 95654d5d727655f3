/** What was done at the door of an account, for its rider to see. */
package org.stratopneum.web.rider.activity;
