<?php

declare(strict_types=1);

namespace Tests\Feature\House;

use App\Database\Turn;
use App\Models\LiveSession;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use PDO;
use PDOException;
use Tests\Support\CragTestCase;

/** Who writes in the same session come one after the other; in other sessions they need not wait. */
final class TurnTest extends CragTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Turn::of();
    }

    protected function tearDown(): void
    {
        Turn::of();
        parent::tearDown();
    }

    public function test_a_session_has_a_turn_of_its_own_and_all_else_shares_one(): void
    {
        $house = Turn::keys();
        self::assertCount(1, $house);
        $of = static fn (string ...$sessions): array => Turn::during($sessions, Turn::keys(...));
        self::assertNotSame($house, $of('a'));
        self::assertNotSame($of('b'), $of('a'));
        self::assertSame($house, Turn::keys());
        // Two who take the same two can never each wait for the other's second.
        self::assertSame($of('a', 'b'), $of('b', 'a', 'b'));
        self::assertSame($house, $of());
    }

    public function test_a_request_takes_the_turn_of_the_session_in_its_address(): void
    {
        $session = $this->newSession();
        [$seat] = $this->seat($session);
        $seen = [];
        $note = static function () use (&$seen): string {
            $seen[] = Turn::keys();

            return '';
        };
        Route::middleware('hot')->get('/turn/of-session/{session}', static fn (LiveSession $session) => $note());
        Route::middleware('web')->get('/turn/of-seat/{seat}', static fn (\App\Models\Seat $seat) => $note());
        Route::middleware('web')->get('/turn/of-none', $note);
        foreach (["of-session/{$session->id}", "of-seat/{$seat->id}", 'of-none'] as $address) {
            $this->get("/turn/{$address}")->assertOk();
        }
        $own = Turn::during([$session->id], Turn::keys(...));
        self::assertSame([$own, $own, Turn::during([], Turn::keys(...))], $seen);
    }

    public function test_a_transaction_waits_for_its_session_and_for_no_other(): void
    {
        $this->onlyIn('pgsql');
        config(['database.connections.beside' => ['lock_timeout' => 50] + config()->array('database.connections.pgsql')]);
        $beside = DB::connection('beside');
        $held = Turn::during(['first'], Turn::keys(...))[0];
        // Another node has the first session's turn.
        $config = $beside->getConfig();
        $other = new PDO("pgsql:host={$config['host']};port={$config['port']};dbname={$config['database']};user={$config['username']}");
        $other->beginTransaction();
        $other->exec("select pg_advisory_xact_lock({$held}::bigint)");
        try {
            Turn::of('second');
            self::assertSame(1, $beside->transaction(static fn (): int => $beside->scalar('select 1')));
            Turn::of('second', 'first');
            try {
                $beside->transaction(static fn (): int => $beside->scalar('select 1'));
                $code = 'it took a turn that another has';
            } catch (PDOException $fault) {
                $code = $fault->getCode();
            }
            self::assertSame('55P03', $code);
            // Nothing is left of it, and the turn of the second is free again.
            self::assertSame(0, $beside->transactionLevel());
            self::assertFalse($beside->getPdo()->inTransaction());
            $other->rollBack();
            self::assertSame(1, $beside->transaction(static fn (): int => $beside->scalar('select 1')));
        } finally {
            DB::purge('beside');
        }
    }
}
