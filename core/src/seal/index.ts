export { canonicalJson, NotCanonical } from './canonical.ts';
export {
  beginsWith,
  chainDigest,
  chained,
  CHAIN_START,
  chainText,
  lastDigest,
  privateFact,
  readChain,
  type ChainFault,
  type ChainLine,
  type PrivateFact,
} from './chain.ts';
export { sha256Hex } from './digest.ts';
export {
  bundleFaults,
  isBundlePath,
  MANIFEST,
  manifestText,
  readManifest,
  SEAL_FILES,
  sealOf,
  type BundleEntry,
  type BundleFault,
  type ManifestLine,
} from './manifest.ts';
