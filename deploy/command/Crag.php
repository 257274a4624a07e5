<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Bench\Bench;
use Deploy\Install\Doctor;
use Deploy\Install\Install;
use Deploy\Keep\Backup;
use Deploy\Keep\MoveTo;
use Deploy\Keep\Restore;

/** The commands of `./crag`, by name. */
final class Crag
{
    private const COMMANDS = [
        'demo' => [
            Demo::class,
            'start everything with the demo class, and print the addresses [--port=8000] [--host=127.0.0.1] [--json] [--students=24]',
        ],
        'test' => [Test::class, 'static checks and every test, or one part of them [core|app|browser], the application’s on PostgreSQL [app --database=pgsql], or the main path in Firefox and WebKit [engines]'],
        'fix' => [Fix::class, 'put right what the style checks can put right by themselves'],
        'serve' => [Serve::class, 'start the application without demo data [--port=8000] [--host=0.0.0.0]'],
        'bench' => [
            Bench::class,
            'measure, and print JSON: live [--students=40] [--seconds=20], reach [--students=35], grid [--canvases=40] [--strokes=300], soak [--students=30] [--minutes=10], light, record [--students=30] [--prompts=5], sheets [--pages=60], reading [--hands=20], faults [--count=100] [--seed=7], flood [--students=300] [--way=both], classes [--classes=10], district [--nodes=2] [--classes=20] [--students=30], canvas, paper, or desk',
        ],
        'shots' => [Shots::class, 'make the pictures in docs/screenshots from the demo class'],
        'install' => [Install::class, 'install what is missing and build the pages, and start nothing'],
        'backup' => [
            Backup::class,
            'put everything that is kept into one file, while it runs [FILE | --into=FOLDER --keep=14]',
        ],
        'restore' => [Restore::class, 'put a backup back, in place of what is there [FILE]'],
        'move-to' => [MoveTo::class, 'carry everything into another database, and compare [pgsql://… | sqlite]'],
        'invite' => [Invite::class, 'make a link with which one teacher can make an account, or somebody who looks after schools [--days=7] [--administrator]'],
        'doctor' => [Doctor::class, 'say what is missing or wrong, and how to mend it'],
    ];

    /** @param  list<string>  $arguments */
    public static function run(array $arguments): int
    {
        $name = array_shift($arguments) ?? 'help';
        if (in_array($name, ['help', '--help', '-h'], true)) {
            return self::help();
        }
        if (! isset(self::COMMANDS[$name])) {
            Console::error("There is no command \"{$name}\".");
            self::help();

            return 2;
        }
        $class = self::COMMANDS[$name][0];
        try {
            return (new $class())->run(Options::read($arguments));
        } catch (Problem $problem) {
            Console::error($problem->getMessage());

            return 1;
        }
    }

    private static function help(): int
    {
        Console::say('Crag: live problem-solving sessions on private canvases.');
        Console::say('');
        foreach (self::COMMANDS as $name => [, $does]) {
            Console::say(sprintf('  ./crag %-7s %s', $name, $does));
        }
        Console::say('  ./crag help    this');
        Console::say('');
        Console::say('Where to read on: README.md, docs/architecture.md, docs/operating.md.');

        return 0;
    }
}
