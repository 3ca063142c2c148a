<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\ClinicRepository;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\Uid\Uuid;

/** Classes of the clinic, and each time that one was led. */
final readonly class Classes
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ClinicRepository $clinics,
    ) {
    }

    /** @return list<HandClass> that are held, by name */
    public function all(): array
    {
        return $this->entities->getRepository(HandClass::class)->findBy(
            ['clinicId' => $this->clinics->own()->id, 'endedAt' => null],
            ['name' => 'ASC', 'id' => 'ASC'],
        );
    }

    /** @throws NotFoundHttpException */
    public function get(string $id): HandClass
    {
        return $this->one(HandClass::class, $id, 'No such class.');
    }

    /** @throws NotFoundHttpException */
    public function run(string $id): ClassRun
    {
        return $this->one(ClassRun::class, $id, 'No such class.');
    }

    /** Whatever is led now; null: nothing is. */
    public function running(HandClass $class): ?ClassRun
    {
        return $this->entities->getRepository(ClassRun::class)->findOneBy(
            ['classId' => $class->id, 'endedAt' => null],
            ['startedAt' => 'DESC'],
        );
    }

    /** @return array<string, mixed> what the wall plays, see Wall */
    public function wall(ClassRun $run): array
    {
        return $this->entities->find(RunWall::class, $run->id)->body ?? [];
    }

    /** @return list<RunPlace> by number */
    public function places(ClassRun $run): array
    {
        return $this->entities->getRepository(RunPlace::class)->findBy(
            ['runId' => $run->id],
            ['number' => 'ASC'],
        );
    }

    /** @return array{ClassRun, RunPlace}|null that a sitting belongs to; null: it is of no class */
    public function ofSitting(string $sittingId, string $clinicId): ?array
    {
        $place = $this->entities->getRepository(RunPlace::class)->findOneBy(
            ['sittingId' => $sittingId, 'clinicId' => $clinicId],
        );
        $run = null === $place ? null : $this->entities->find(ClassRun::class, $place->runId);

        return null === $place || null === $run ? null : [$run, $place];
    }

    public function keep(object ...$records): void
    {
        foreach ($records as $record) {
            $this->entities->persist($record);
        }
        $this->entities->flush();
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T of the own clinic
     */
    private function one(string $class, string $id, string $otherwise): object
    {
        $found = Uuid::isValid($id)
            ? $this->entities->getRepository($class)->findOneBy(
                ['id' => $id, 'clinicId' => $this->clinics->own()->id],
            )
            : null;

        return $found ?? throw new NotFoundHttpException($otherwise);
    }
}
