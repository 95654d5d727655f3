/** Whether tire, rim, valve, tube and way of riding go together, and what a set-up of them needs. */
package org.stratopneum.core.fit;
