# Running the tests: sourced by ../vadose.

run_tests() { # run_tests [lint|types|unit|server|e2e …]
  local parts=("$@") part results
  [ $# -gt 0 ] || parts=(lint types unit server e2e)
  need_node; need_packages; need_build all
  results=$state/results
  rm -rf "$results"; mkdir -p "$results"
  need_postgres
  case " ${parts[*]} " in *" server "*) command -v pdftoppm >/dev/null || apt_install "the PDF reader of the tests" poppler-utils ;; esac
  case " ${parts[*]} " in *" e2e "*) command -v chromium-headless-shell >/dev/null || apt_install Chromium chromium-headless-shell fonts-liberation ;; esac
  # a throw-away cluster: nothing in it needs to survive a power cut
  test_dir=$(cluster_dir "test-$$")
  trap 'stop_cluster "$test_dir"; rm -rf "$test_dir" "$state/test-$$"' EXIT
  make_cluster "$test_dir" --no-sync
  start_cluster "$test_dir" -c fsync=off -c synchronous_commit=off -c full_page_writes=off -c max_connections=200
  TEST_DATABASE_URL=$(database_url postgres)
  export TEST_DATABASE_URL
  for part in "${parts[@]}"; do
    say "--- $part"
    case $part in
      lint) node .ci/report.mjs one "$results/lint" npx --no-install eslint . && node .ci/report.mjs one "$results/format" npx --no-install prettier --check --log-level warn . && node .ci/report.mjs one "$results/rooms" npm run --silent rooms && node .ci/report.mjs one "$results/dead" npm run --silent dead ;;
      types) node .ci/report.mjs one "$results/types" npx --no-install tsc -p tsconfig.json && node .ci/report.mjs one "$results/vue-types" npx --no-install vue-tsc --noEmit -p web/tsconfig.json ;;
      unit) node .ci/report.mjs vitest "$results/unit" --project core --project web ;;
      server) node .ci/report.mjs vitest "$results/server" --project server ;;
      e2e) node .ci/report.mjs playwright "$results/e2e" ;;
      *) fail "There is no test part “$part”; there are lint, types, unit, server and e2e." ;;
    esac
  done
  node .ci/report.mjs sum "$results"
}
