<?php

declare(strict_types=1);

/*
 * The workers that answer pages: `crag` starts this, and nginx passes requests on to it. Each argument is a pool: its
 * name, how many answer there, and the seconds that a request may take, as in live:4:30.
 */

use App\Answering\Answer;
use App\Answering\Workers;
use App\Database\ImmediatePdo;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Support\Facades\DB;

// It answers as a server does, and is no command.
putenv('APP_RUNNING_IN_CONSOLE=false');
$_ENV['APP_RUNNING_IN_CONSOLE'] = 'false';

require __DIR__.'/../../vendor/autoload.php';

/** @var Application $app */
$app = require __DIR__.'/../../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();

$pools = [];
foreach (array_slice($argv, 1) as $pool) {
    [$name, $many, $longest] = explode(':', $pool);
    $pools[$name] = [config()->string('crag.run')."/answer-{$name}.sock", (int) $many, (int) $longest];
}
$make = static function () use ($app): Answer {
    $pdo = DB::connection()->getPdo();
    if ($pdo instanceof ImmediatePdo) {
        $pdo->keepStatements();
    }

    return $app->make(Answer::class);
};
(new Workers($make, $pools))();
