<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Account\SignIn\Throttle;
use HandGarden\Account\SignIn\TooManyTries;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Home\LetInCode;
use HandGarden\Home\Shared\SharedTablet;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/**
 * A device comes in: it types the code and names the hash of a key that it made; once a therapist has said that both
 * screens show the same pictures, it shows the key itself and gets its secret.
 */
final class EnterDevice extends AbstractController
{
    private const KEY = '/^[0-9a-f]{64}$/D';

    public function __construct(
        private readonly HomeDevices $devices,
        private readonly HomeCookie $cookie,
        private readonly Throttle $throttle,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/home/in', name: 'home_claim', methods: ['POST'], stateless: true)]
    public function claim(Request $request): JsonResponse
    {
        $address = (string) $request->getClientIp();
        try {
            $this->throttle->take('let in '.$address, null, $address);
        } catch (TooManyTries) {
            return self::refuse('too-many', JsonResponse::HTTP_TOO_MANY_REQUESTS);
        }
        try {
            $told = Node::fromJson($request->getContent())->only('code', 'key');
            $code = LetInCode::typed($told->get('code')->text(40));
            $keyHash = $told->get('key')->string();
        } catch (InvalidData) {
            return self::refuse('wrong-code');
        }
        $pairing = null === $code ? null : $this->devices->pairingByCode($code);
        $now = $this->clock->now();
        if (null === $pairing || 1 !== preg_match(self::KEY, $keyHash)) {
            return self::refuse('wrong-code');
        }
        if (!$pairing->isOpen($now) || null !== $pairing->keyHash) {
            $this->audit->by(
                $pairing->clinicId,
                Actor::system(),
                'refused: let-in code used again',
                $pairing->clientId ?? '',
            );

            return self::refuse('code-over');
        }
        $this->throttle->giveBack('let in '.$address, null, $address); // it was somebody who had the code
        $pairing->keyHash = $keyHash;
        $pairing->claimedAt = $now;
        $this->devices->keep();

        return new JsonResponse(['pictures' => $pairing->pictures()]);
    }

    #[Route('/home/in/key', name: 'home_key', methods: ['POST'], stateless: true)]
    public function key(Request $request): JsonResponse
    {
        try {
            $key = Node::fromJson($request->getContent())->only('key')->get('key')->string();
        } catch (InvalidData) {
            return self::refuse('wrong-code');
        }
        $pairing = $this->devices->pairingByKey(hash('sha256', $key));
        $now = $this->clock->now();
        if (null === $pairing || !$pairing->isOpen($now)) {
            return self::refuse('code-over');
        }
        if (null === $pairing->confirmedAt) {
            return new JsonResponse(['state' => 'waits']);
        }
        $device = $this->device($pairing, $now);
        $this->cookie->give(
            $request,
            $device->secret,
            $device instanceof SharedTablet ? HomeCookie::TABLET : HomeCookie::PLAN,
        );
        $pairing->endedAt = $now;
        $pairing->deviceId = $device->id;
        $this->devices->keep($device);
        $this->audit->by(
            $device->clinicId,
            $device instanceof SharedTablet ? Actor::system() : $device->actor(),
            'let in',
            $device->id,
        );

        return new JsonResponse(['state' => $device instanceof SharedTablet ? 'in-house' : 'in']);
    }

    private function device(Pairing $pairing, \DateTimeImmutable $now): HomeDevice|SharedTablet
    {
        return null === $pairing->clientId
            ? new SharedTablet(
                $pairing->clinicId,
                $pairing->careHomeId ?? throw new \LogicException(
                    'A pairing is for a client or a care home.',
                ),
                $pairing->label,
                $pairing->madeById,
                madeAt: $now,
            )
            : new HomeDevice(
                $pairing->clinicId,
                $pairing->clientId,
                $pairing->helperId,
                $pairing->label,
                madeById: $pairing->madeById,
                madeAt: $now,
            );
    }

    private static function refuse(
        string $why,
        int $status = JsonResponse::HTTP_UNPROCESSABLE_ENTITY,
    ): JsonResponse {
        return new JsonResponse(['state' => $why], $status);
    }
}
