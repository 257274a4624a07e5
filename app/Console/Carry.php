<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\CannotCarryOver;
use App\Database\CarryOver;
use Illuminate\Console\Command;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Everything from one database into another that is empty. Each is a server's address or SQLite's file. */
final class Carry extends Command
{
    protected $signature = 'crag:carry {from} {to}';

    protected $description = 'Carry everything over into another database, and compare';

    public function handle(): int
    {
        try {
            $from = self::open('from', (string) $this->argument('from'));
            $to = self::open('to', (string) $this->argument('to'));
            $this->needsWhole($from);
            if ($to->getSchemaBuilder()->getTables() !== []) {
                throw new CannotCarryOver('There are tables in it already. It must be an empty database.');
            }
            $this->callSilent('migrate', ['--database' => 'to', '--force' => true]);
            $this->line((string) json_encode((new CarryOver($from, $to))()));

            return self::SUCCESS;
        } catch (CannotCarryOver|QueryException $problem) {
            $this->error($problem->getMessage());

            return self::FAILURE;
        }
    }

    /** Tables as this version has them, and no work under way that only this database knows of. */
    private function needsWhole(Connection $from): void
    {
        $known = array_keys($this->laravel->make('migrator')->getMigrationFiles([database_path('migrations')]));
        $schema = $from->getSchemaBuilder();
        $done = $schema->hasTable('migrations') ? $from->table('migrations')->pluck('migration')->all() : [];
        if (array_diff($known, $done) !== [] || array_diff($done, $known) !== []) {
            throw new CannotCarryOver('The data was made by another version of Crag. Start this one on it once, then try again.');
        }
        if ($from->table('jobs')->exists()) {
            throw new CannotCarryOver('A record is still being made. Start Crag, wait until it is ready, then try again.');
        }
    }

    private static function open(string $name, string $where): Connection
    {
        $kind = str_contains($where, '://') ? 'pgsql' : 'sqlite';
        if ($kind === 'sqlite' && $name === 'to') {
            touch($where);
            chmod($where, 0o600);
        }
        $given = $kind === 'pgsql' ? ['url' => $where] : ['database' => $where];
        config(["database.connections.{$name}" => $given + config()->array("database.connections.{$kind}")]);

        DB::purge($name);

        return DB::connection($name);
    }
}
