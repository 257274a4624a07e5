/** Arrows between the scripts' parts. Types count: a part that must not know another must not know its types either. */
module.exports = {
    forbidden: [
        { name: 'no-circle', severity: 'error', from: {}, to: { circular: true } },
        {
            name: 'model-knows-no-page',
            comment: 'A canvas can be folded, hit and measured where there is no page.',
            severity: 'error',
            from: { path: '^resources/ts/canvas/model' },
            to: { pathNot: '^resources/ts/(canvas/model|present)' },
        },
        {
            name: 'protocol-stands-alone',
            severity: 'error',
            from: { path: '^resources/ts/protocol' },
            to: { pathNot: '^resources/ts/(protocol|canvas/model)' },
        },
        {
            name: 'drawing-knows-no-tools',
            severity: 'error',
            from: { path: '^resources/ts/canvas/drawing' },
            to: { pathNot: '^(resources/ts/(canvas/(model|drawing)|present)|node_modules)' },
        },
        {
            name: 'tools-know-no-workbench',
            severity: 'error',
            from: { path: '^resources/ts/canvas/tools' },
            to: { path: '^resources/ts/canvas/workbench' },
        },
        {
            name: 'a-canvas-knows-no-audience',
            severity: 'error',
            from: { path: '^resources/ts/(canvas|live|questions|grid)' },
            to: { path: '^resources/ts/(desk|student|plan|pages|bench)/' },
        },
        {
            name: 'audiences-stand-apart',
            severity: 'error',
            from: { path: '^resources/ts/(desk|student|plan)/' },
            to: { path: '^resources/ts/(desk|student|plan)/', pathNot: '^resources/ts/$1/' },
        },
        { name: 'pages-are-the-top', severity: 'error', from: { pathNot: '^resources/ts/pages' }, to: { path: '^resources/ts/pages' } },
    ],
    options: {
        tsPreCompilationDeps: true,
        tsConfig: { fileName: 'tsconfig.json' },
        doNotFollow: { path: 'node_modules' },
    },
};
