interface ImportMetaEnv {
  /** Set by the build; absent in tests. */
  readonly VITE_CONTRACT?: string;
}
