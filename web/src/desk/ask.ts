import {
  api,
  asked,
  type Child,
  type DeskState,
  type DeskTurn,
  type GivenAnswer,
  type AnswerFeedback,
} from "@/api/client";

/** What a desk asks of the server, by name. */
export interface Door {
  code: string;
  class_name: string;
  children: Child[];
  pictures: string[];
}

export interface OwnDial {
  words: string;
  hour_hand_degrees: number;
  minute_hand_degrees: number;
}

/** Answers to one task, on their way. */
export interface Sending {
  turn_id: number;
  answers: GivenAnswer[];
  /** The child went on without being told. */
  late?: boolean;
}

/** Milliseconds after which a network that says nothing counts as away. */
const PATIENCE = 8_000;

export const knock = (code: string): Promise<Door> => asked(api.POST("/api/desk/doors", { body: { code } }));

export const takeSeat = (body: {
  code: string;
  child_id: number;
  pictures: string[];
}): Promise<{ child: Child }> => asked(api.POST("/api/desk/seats", { body }));

/** Whether a child sits at this device; if not any more, why. */
export const readSeat = (): Promise<{ seated: boolean; why: string | null }> =>
  asked(api.GET("/api/desk/seat", { signal: AbortSignal.timeout(PATIENCE) }));

export const readState = (): Promise<DeskState> =>
  asked(api.GET("/api/desk/state", { signal: AbortSignal.timeout(PATIENCE) }));

export const sendAnswers = (body: Sending, held: readonly DeskTurn[]): Promise<AnswerFeedback> =>
  asked(
    api.POST("/api/desk/answers", {
      body: { ...body, held: held.map((turn) => turn.id) },
      signal: AbortSignal.timeout(PATIENCE),
    }),
  );

/** Asks to be shown a task instead of answering it. */
export const askToBeShown = (turn_id: number, held: readonly DeskTurn[]): Promise<AnswerFeedback> =>
  asked(
    api.POST("/api/desk/hints", {
      body: { turn_id, held: held.map((turn) => turn.id) },
      signal: AbortSignal.timeout(PATIENCE),
    }),
  );

export const beginAgain = (): Promise<DeskState> => asked(api.POST("/api/desk/rounds"));

export const ownDials = async (): Promise<OwnDial[]> => (await asked(api.GET("/api/desk/record"))).dials;

/** Tells the teacher of answers that were kept here and could not be taken. */
export const reportLostAnswers = (answers: number): Promise<unknown> =>
  asked(api.POST("/api/desk/lost-answers", { body: { answers } }));

export const leaveDesk = (): Promise<unknown> => asked(api.POST("/api/desk/leaving"));
