<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Clinic;

use HandGarden\Bench\Clinic\Day;
use HandGarden\Bench\Clinic\MadeUpClient;
use HandGarden\Bench\Clinic\Mutant;
use HandGarden\Bench\Clinic\Oracle;
use HandGarden\Bench\Clinic\Violation;
use HandGarden\Bench\Clinic\VirtualClinic;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The rules hold together over weeks; the long run with many clients and every mutant is bench/clinic.php. */
final class VirtualClinicTest extends TestCase
{
    private const CLIENTS = 20;
    private const DAYS = 35;

    /** @return iterable<string, array{int}> */
    public static function clients(): iterable
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new MadeUpClient($seed);
            yield $seed.', '.$client->trouble->value => [$seed];
        }
    }

    #[DataProvider('clients')]
    public function testNothingUnsafeIsGivenOverFiveWeeks(int $seed): void
    {
        $client = new MadeUpClient($seed);
        $trace = (new VirtualClinic(Cases::catalogue(), self::DAYS))->run($client);

        self::assertSame([], array_map(
            static fn (Violation $v): string => "$v->rule day $v->day: $v->what",
            (new Oracle(Cases::catalogue(), $client))->judge($trace),
        ));
        self::assertNotSame([], array_filter(
            $trace,
            static fn (Day $d): bool => [] !== $d->sittings || null !== $d->empty,
        ));
    }

    /** @return iterable<string, array{Mutant, int}> a rule, and a client on whom it shows soon */
    public static function mutants(): iterable
    {
        yield 'S2' => [Mutant::S2, 1];
        yield 'S3' => [Mutant::S3, 0];
        yield 'S5' => [Mutant::S5, 4];
        yield 'S7' => [Mutant::S7, 0];
        yield 'S11' => [Mutant::S11, 0];
        yield 'S12' => [Mutant::S12, 0];
        yield 'S13' => [Mutant::S13, 21];
        yield 'S25' => [Mutant::S25, 0];
        yield 'S27' => [Mutant::S27, 98];
        yield 'S28' => [Mutant::S28, 1];
    }

    #[DataProvider('mutants')]
    public function testTheOracleNoticesARuleThatIsBroken(Mutant $mutant, int $seed): void
    {
        $client = new MadeUpClient($seed);
        $trace = (new VirtualClinic(Cases::catalogue(), self::DAYS))->run($client, $mutant);
        $rules = array_map(
            static fn (Violation $v): string => $v->rule,
            (new Oracle(Cases::catalogue(), $client))->judge($trace),
        );

        self::assertContains($mutant->value, $rules);
    }
}
