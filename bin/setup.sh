# What both commands need before any of our own code can run: Node and the npm packages.
if ! command -v node >/dev/null 2>&1; then
	echo "Surculus needs Node.js 20.19 or newer, which is not installed." >&2
	exit 1
fi
node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' || {
	echo "Surculus needs Node.js 20.19 or newer; this is $(node --version)." >&2
	exit 1
}
if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.surculus-installed ] || [ ! -f node_modules/.surculus-installed ]; then
	echo "Installing packages …"
	npm ci --no-audit --no-fund --loglevel=error || {
		echo "The npm packages could not be installed: is the npm registry reachable, and is there room on the disk?" >&2
		exit 1
	}
	touch node_modules/.surculus-installed
fi
# The path names that our TypeScript uses ($lib) come from here.
[ -f .svelte-kit/tsconfig.json ] || node node_modules/@sveltejs/kit/svelte-kit.js sync
