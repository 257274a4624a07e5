<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Browser\Chrome;
use Deploy\Install\Needs;
use Deploy\Install\Setup;

/** The pictures in docs/screenshots, from the demo class. */
final class Shots
{
    public function run(Options $options): int
    {
        Setup::complete(Needs::Tests);
        require_once Setup::root().'/vendor/autoload.php';
        $folder = Setup::root().'/docs/screenshots';
        Folder::make($folder);
        $class = DemoClass::start('127.0.0.1', Port::free(), 'shots');
        $chrome = Chrome::start();
        try {
            $class->play(DemoClass::STUDENTS);
            (new Tour($chrome, $class, $folder))->take();
        } finally {
            $chrome->stop();
            $class->instance->stop();
            $class->instance->removeAll();
        }
        Console::say("Pictures are in {$folder}.");

        return 0;
    }
}
