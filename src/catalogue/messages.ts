import access from '../../messages/en/access.json'
import bay from '../../messages/en/bay.json'
import cabinet from '../../messages/en/cabinet.json'
import commands from '../../messages/en/commands.json'
import common from '../../messages/en/common.json'
import conditions from '../../messages/en/conditions.json'
import data from '../../messages/en/data.json'
import due from '../../messages/en/due.json'
import errors from '../../messages/en/errors.json'
import fields from '../../messages/en/fields.json'
import estimates from '../../messages/en/estimates.json'
import frame from '../../messages/en/frame.json'
import intake from '../../messages/en/intake.json'
import log from '../../messages/en/log.json'
import measures from '../../messages/en/measures.json'
import methods from '../../messages/en/methods.json'
import mixing from '../../messages/en/mixing.json'
import observations from '../../messages/en/observations.json'
import order from '../../messages/en/order.json'
import outbox from '../../messages/en/outbox.json'
import photos from '../../messages/en/photos.json'
import plan from '../../messages/en/plan.json'
import problems from '../../messages/en/problems.json'
import protection from '../../messages/en/protection.json'
import reasons from '../../messages/en/reasons.json'
import ruleBook from '../../messages/en/ruleBook.json'
import rules from '../../messages/en/rules.json'
import server from '../../messages/en/server.json'
import settings from '../../messages/en/settings.json'
import sheet from '../../messages/en/sheet.json'
import terms from '../../messages/en/terms.json'
import today from '../../messages/en/today.json'
import steps from '../../messages/en/steps.json'
import wheelSet from '../../messages/en/wheelSet.json'
import wheels from '../../messages/en/wheels.json'

/** All messages in English, by place. */
export const english = {
  access,
  bay,
  cabinet,
  commands,
  common,
  conditions,
  data,
  due,
  errors,
  fields,
  estimates,
  frame,
  intake,
  log,
  measures,
  methods,
  mixing,
  observations,
  order,
  outbox,
  photos,
  plan,
  problems,
  protection,
  reasons,
  ruleBook,
  rules,
  server,
  settings,
  sheet,
  terms,
  steps,
  today,
  wheelSet,
  wheels,
}

export type Messages = typeof english
