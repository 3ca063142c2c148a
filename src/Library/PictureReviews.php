<?php

declare(strict_types=1);

namespace HandGarden\Library;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Account\Who;
use HandGarden\Content\Pictures\HandPictures;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Web\Clock;

/** What the clinic found when it looked at the pictures; the newest word of a version counts. */
final readonly class PictureReviews
{
    public function __construct(
        private EntityManagerInterface $entities,
        private HandPictures $pictures,
        private Who $who,
        private Clock $clock,
    ) {
    }

    /** @return array<string, PictureReview> the newest by exercise */
    public function newest(): array
    {
        $newest = [];
        $reviews = $this->entities->getRepository(PictureReview::class)->findBy(
            ['clinicId' => $this->who->clinicId()],
            ['at' => 'ASC', 'id' => 'ASC'],
        );
        foreach ($reviews as $review) {
            $newest[$review->rungId] = $review;
        }

        return $newest;
    }

    public function versionOf(Rung $rung): string
    {
        return substr(hash('sha256', implode(' ', $this->pictures->strip($rung, Side::Right))), 0, 32);
    }

    public function keep(Rung $rung, PictureVerdict $verdict, string $note): void
    {
        $this->entities->persist(new PictureReview(
            $this->who->clinicId(),
            $rung->id,
            $this->versionOf($rung),
            $verdict,
            note: $note,
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        ));
        $this->entities->flush();
    }
}
