/** Why a wheel loses air, and the check that is worth making next: a small Bayesian model, its table in one place. */
package org.stratopneum.core.diagnosis;
