import fc from 'fast-check'

// The same situations in every run, so that a change is what turns a test red; `PROPERTY_SEED=$RANDOM` tries others.
fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 20_261_126) })
