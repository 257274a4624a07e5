<?php

declare(strict_types=1);

namespace Tests\Feature\Work;

use App\Live\Keeper\LeasedShare;
use Deploy\Shared\Redis;
use Illuminate\Redis\RedisManager;
use Tests\Support\CragTestCase;

/** Of several nodes one has each share of the sessions, and another takes it over. */
final class LeaseTest extends CragTestCase
{
    private static ?Redis $redis = null;

    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        if (is_file('/usr/bin/redis-server') && extension_loaded('redis')) {
            self::$redis = (new Redis())->start();
        }
    }

    public static function tearDownAfterClass(): void
    {
        self::$redis?->stop();
        self::$redis = null;
        parent::tearDownAfterClass();
    }

    protected function setUp(): void
    {
        parent::setUp();
        if (self::$redis === null) {
            self::markTestSkipped('Redis is not installed: the whole of ./crag test installs it.');
        }
        self::$redis->open()->flushAll();
    }

    public function test_the_only_node_has_every_share(): void
    {
        foreach (range(0, 3) as $part) {
            self::assertTrue($this->share('north', $part)->isMine());
        }
    }

    public function test_two_nodes_have_half_of_them_each_and_never_the_same(): void
    {
        $shares = [];
        foreach (['north', 'south'] as $node) {
            foreach (range(0, 3) as $part) {
                $shares[$node][$part] = $this->share($node, $part);
                $shares[$node][$part]->isMine();
            }
        }
        // Each asks once more: what belongs elsewhere is given back by one and taken by the other.
        foreach (['north', 'south', 'north'] as $node) {
            array_walk($shares[$node], self::askAgain(...));
        }
        $of = static fn (string $node): array => array_keys(
            array_filter($shares[$node], static fn (LeasedShare $one): bool => $one->isMine()),
        );
        self::assertSame([0, 2], $of('north'));
        self::assertSame([1, 3], $of('south'));
    }

    public function test_what_a_node_had_that_is_gone_is_taken_when_its_lease_has_run_out(): void
    {
        [$north, $south] = [$this->share('north', 1), $this->share('south', 1)];
        $north->isMine();
        $south->isMine();
        self::askAgain($north);
        self::askAgain($south);
        self::assertTrue($south->isMine());
        self::assertFalse($north->isMine());
        // As if its time were over: nothing of it is heard any more.
        $redis = self::$redis?->open();
        $redis?->zRem('crag:keep.1.there', 'south');
        self::askAgain($north);
        self::assertFalse($north->isMine(), 'its lease still holds');
        $redis?->del('crag:keep.1.lease');
        self::askAgain($north);
        self::assertTrue($north->isMine());
        self::assertLessThanOrEqual(3_000, $redis?->pttl('crag:keep.1.lease'));
        // It comes to itself, and knows that it has it no more until it is its turn again.
        self::askAgain($south);
        self::assertFalse($south->isMine());
    }

    public function test_who_ends_gives_back_at_once(): void
    {
        [$north, $south] = [$this->share('north', 0), $this->share('south', 0)];
        self::assertTrue($north->isMine());
        self::assertFalse($south->isMine());
        $north->giveBack();
        self::askAgain($south);
        self::assertTrue($south->isMine());
    }

    public function test_how_far_was_read_is_known_to_whoever_has_it_next(): void
    {
        [$north, $south] = [$this->share('north', 2), $this->share('south', 2)];
        self::assertSame('', $south->readTo());
        $north->hasRead('17:3');
        self::assertSame('17:3', $south->readTo());
        self::assertSame('', $this->share('south', 3)->readTo());
    }

    public function test_without_redis_it_is_nobodys(): void
    {
        $config = ['url' => 'redis://127.0.0.1:1', 'timeout' => 0.2];
        $redis = new RedisManager($this->app, 'phpredis', ['options' => ['prefix' => 'crag:'], 'default' => $config]);
        $gone = $this->unconnected($redis);
        self::assertFalse($gone->isMine());
        self::assertSame('', $gone->readTo());
    }

    private function unconnected(RedisManager $redis): LeasedShare
    {
        return new LeasedShare(static fn () => $redis->connection(), 'north', 0);
    }

    private function share(string $node, int $part): LeasedShare
    {
        $config = ['url' => (string) self::$redis?->url()];
        $redis = new RedisManager($this->app, 'phpredis', ['options' => ['prefix' => 'crag:'], 'default' => $config]);

        return new LeasedShare(static fn () => $redis->connection(), $node, $part);
    }

    /** As it does after a while. */
    private static function askAgain(LeasedShare $share): void
    {
        (new \ReflectionProperty($share, 'askedMs'))->setValue($share, -1e9);
        $share->isMine();
    }
}
