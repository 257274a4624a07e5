<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\Engine;
use App\Http\SameForAll;
use Illuminate\Console\Command;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Makes an instance ready to serve: tables, and the settings and routes in a form that loads fast. */
final class Prepare extends Command
{
    /** Databases as they were before an upgrade; older ones go. */
    private const KEPT = 3;

    protected $signature = 'crag:prepare';

    protected $description = 'Migrate the database, which is set aside as it was first, and cache configuration and routes';

    public function handle(): int
    {
        $status = Engine::here()->alone($this->bringUpToDate(...));
        if ($status === self::SUCCESS) {
            SameForAll::forget();
            $this->callSilent('config:cache');
            $this->callSilent('route:cache');
        }

        return $status;
    }

    private function bringUpToDate(): int
    {
        $unknown = array_diff($this->done(), $this->known());
        if ($unknown !== []) {
            $this->error(
                'The data in '.config()->string('crag.data').' was made by a version of Crag that this one does not know ('.
                    implode(', ', $unknown).
                    '). Start that version, or put a copy from backups/ back, or move the data away to start anew.',
            );

            return self::FAILURE;
        }
        $aside = $this->setAside();
        if ($aside !== null) {
            $this->line("The database as it was before this upgrade is in {$aside}.");
        }
        $this->callSilent('migrate', ['--force' => true]);

        return self::SUCCESS;
    }

    /** @return list<string> migrations that have run on the data */
    private function done(): array
    {
        if (! Engine::here()->isThere()) {
            return [];
        }
        $migrator = $this->migrator();
        $migrator->setConnection(DB::getDefaultConnection());

        return $migrator->repositoryExists() ? array_values($migrator->getRepository()->getRan()) : [];
    }

    /** @return list<string> migrations that this version has */
    private function known(): array
    {
        return array_keys($this->migrator()->getMigrationFiles([database_path('migrations')]));
    }

    private function migrator(): Migrator
    {
        return $this->laravel->make('migrator');
    }

    /** @return ?string where the database as it is now was copied to; null where nothing will change it */
    private function setAside(): ?string
    {
        $done = $this->done();
        if ($done === [] || array_diff($this->known(), $done) === []) {
            return null;
        }
        $folder = config()->string('crag.data').'/backups';
        File::ensureDirectoryExists($folder, 0o700);
        $file = Engine::here()->setAside($folder);
        chmod($file, 0o600);
        $made = glob("{$folder}/before-upgrade-*") ?: [];
        rsort($made);
        File::delete(array_slice($made, self::KEPT));

        return $file;
    }
}
